// npm run bench: times what a person would wait for and writes docs/benchmarks.md.
import { spawnSync } from 'node:child_process';
import { buildWhenNeeded, installPackages, root } from './prepare.mjs';

await installPackages();
await buildWhenNeeded();
process.exit(
  spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'tests/bench/bench.ts'], { cwd: root, stdio: 'inherit' })
    .status ?? 1,
);
