// Runs once when the server starts.

export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { warmReader } = await import('./server/reader/reader')
  warmReader()
}
