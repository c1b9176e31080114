import { DesignView } from '@/ui/design/DesignView';

export default function Page() {
  return <DesignView />;
}
