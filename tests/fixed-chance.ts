import fc from 'fast-check';

/**
 * Properties draw the same cases each time, so that a change, and nothing else, decides whether they hold.
 * Other cases: `NEMBREL_SEED=7 npx vitest run`.
 */
fc.configureGlobal({ seed: Number(process.env['NEMBREL_SEED'] ?? 20_261_130) });
