// What every command needs first: packages installed, application built. Says what it does, and is quiet when there is nothing to do.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command, shows a line of progress, and prints its output only when it fails. */
async function quietly(words, command, args) {
  process.stdout.write(`${words} `);
  const started = Date.now();
  const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
  let output = '';
  child.stdout.on('data', (chunk) => (output += chunk));
  child.stderr.on('data', (chunk) => (output += chunk));
  const dots = setInterval(() => process.stdout.write('.'), 5000);
  const code = await new Promise((resolve) => {
    child.on('error', (error) => {
      output += error.message;
      resolve(1);
    });
    child.on('close', resolve);
  });
  clearInterval(dots);
  console.log(code === 0 ? ` done in ${Math.round((Date.now() - started) / 1000)} s` : ' failed');
  if (code !== 0) {
    console.error(output.split('\n').slice(-40).join('\n'));
    process.exit(1);
  }
}

function fingerprint(file) {
  return createHash('sha256')
    .update(readFileSync(join(root, file)))
    .digest('hex');
}

/**
 * Installs the packages of package-lock.json when they are missing or another set was installed.
 *
 * @param developing also those that only tests and lint need; who only starts Nembrel goes without
 */
export async function installPackages({ developing = true } = {}) {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < 20) {
    console.error(`Nembrel needs Node.js 20 or newer; this is ${process.version}.`);
    process.exit(1);
  }
  const stamp = join(root, 'node_modules/.nembrel-packages');
  const whole = fingerprint('package-lock.json');
  const wanted = developing ? whole : `${whole} to run`;
  // Whoever has them all has those that it takes to run.
  if (existsSync(stamp) && [whole, wanted].includes(readFileSync(stamp, 'utf8'))) return;
  // Not `npm ci`: it refuses a lock file that lacks optional packages of other platforms. This keeps to the lock file
  // as well, and --no-save leaves it as it is.
  await quietly('Installing packages (a few minutes the first time)', 'npm', [
    'install',
    '--no-save',
    '--loglevel=error',
    '--no-fund',
    '--no-audit',
    ...(developing ? [] : ['--omit=dev']),
  ]);
  writeFileSync(stamp, wanted);
}

/** Newest change below a folder, in milliseconds. */
function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  let latest = stat.mtimeMs;
  for (const name of readdirSync(path)) latest = Math.max(latest, newest(join(path, name)));
  return latest;
}

/** Builds when there is no build, or when a source is newer than it. */
export async function buildWhenNeeded() {
  const stamp = join(root, 'dist/.built');
  const sources = ['src', 'public', 'astro.config.mjs', 'tsconfig.json', 'package-lock.json'].map((name) =>
    newest(join(root, name)),
  );
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= Math.max(...sources)) return;
  await quietly('Building Nembrel', process.execPath, [join(root, 'node_modules/astro/astro.js'), 'build']);
  mkdirSync(join(root, 'dist'), { recursive: true });
  writeFileSync(stamp, '');
}

/** The shell alone has no window and none of what belongs to one: the browser tests take a quarter less time in it. */
const SHELL = '/usr/bin/chromium-headless-shell';
/** Where packages do not come what is there has to do, ms. */
const MOST_WAITED = 300_000;
const CHROMIUMS = [SHELL, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Path of a Chromium for the browser tests; installs Debian's package when it may. */
export function findChromium() {
  if (existsSync(SHELL)) return SHELL;
  const installs = existsSync('/usr/bin/apt-get') && process.getuid?.() === 0;
  let trouble = '';
  if (installs) {
    console.log('Installing Chromium from the Debian packages ...');
    const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env: environment, timeout: MOST_WAITED });
    // Where there is no package of the shell the whole browser does as well.
    for (const name of ['chromium-headless-shell', 'chromium']) {
      if (CHROMIUMS.some((path) => existsSync(path)) && name !== 'chromium-headless-shell') break;
      const result = spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
        encoding: 'utf8',
        env: environment,
        timeout: MOST_WAITED,
      });
      if (result.status === 0) break;
      trouble = (result.stderr ?? '').split('\n').slice(-8).join('\n');
    }
  }
  const found = CHROMIUMS.find((path) => existsSync(path));
  if (found) return found;
  console.error(
    installs
      ? `Chromium could not be installed:\n${trouble}`
      : 'The browser tests need Chromium. Install it once with: sudo apt-get install chromium-headless-shell',
  );
  return undefined;
}
