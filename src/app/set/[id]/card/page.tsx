import { CardView } from '@/ui/card/CardView';

export default function Page() {
  return <CardView />;
}
