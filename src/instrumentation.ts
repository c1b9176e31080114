/** Runs once, when the server starts. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { refuseOddRequests } = await import('./server/oddRequests');
  refuseOddRequests();
  const { threads } = await import('./server/planPool');
  threads();
}
