import { LayersView } from '@/ui/layers/LayersView';

export default function Page() {
  return <LayersView />;
}
