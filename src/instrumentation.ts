/** Runs once, when the server starts. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { refuseOddMethods } = await import('./server/oddMethods');
  refuseOddMethods();
  const { threads } = await import('./server/planPool');
  threads();
}
