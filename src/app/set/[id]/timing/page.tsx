import { TimingView } from '@/ui/timing/TimingView';

export default function Page() {
  return <TimingView />;
}
