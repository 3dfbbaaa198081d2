/** How the browser is started everywhere: Debian's Chromium, no network of its own. */
export const CHROMIUM = {
  executablePath: process.env.YTHRION_CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
