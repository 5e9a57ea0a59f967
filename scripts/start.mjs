// npm start and npm run demo: installs and builds when needed, then serves.
import { buildWhenNeeded, installPackages } from './prepare.mjs';

await installPackages({ developing: false });
await buildWhenNeeded();
await import('./serve.mjs');
