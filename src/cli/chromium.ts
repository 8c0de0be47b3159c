/** How Chromium is started, by us and by our tests: nothing but what it is told to open is reached. */
export const chromiumArguments: string[] = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
]
