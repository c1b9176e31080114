import { notFound } from 'next/navigation';
import { App } from '@/ui/app/App';
import { routeOf } from '@/ui/kit/route';

/** Every view is this one page: what is stored is in the browser, so the server has nothing of it to render. */
export default async function Page({ params }: { params: Promise<{ path?: string[] }> }) {
  const { path = [] } = await params;
  if (!routeOf(path.map(decodeURIComponent))) notFound();
  return <App />;
}
