import { NotThere } from '@/ui/app/NotThere';

export default function NotFound() {
  return <NotThere />;
}
