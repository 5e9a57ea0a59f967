/** Switches for a Chromium that runs as root, without a graphics card and without a network. */
export const CHROMIUM_SWITCHES = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
