import { SetsView } from '@/ui/sets/SetsView';

export default function Page() {
  return <SetsView />;
}
