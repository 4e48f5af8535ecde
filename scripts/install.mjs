import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Stop } from './stages.mjs';

export const root = fileURLToPath(new URL('..', import.meta.url));
const lock = `${root}package-lock.json`;
const stamp = `${root}node_modules/.sabor-lock`;

/** A lock file that npm takes before the other; here while npm installs, and not committed. */
const shrinkwrap = `${root}npm-shrinkwrap.json`;

const npm = (...args) => spawnSync('npm', args, { cwd: root, encoding: 'utf8', stdio: 'pipe' });
const ci = () => npm('ci', '--no-fund', '--no-audit');

/**
 * A lock file's text with the address of each package's archive, where npm's own registry keeps it, and nearly every other:
 * `name/-/name-version.tgz`, a scope in the first name alone. What is no archive of a registry, or has an address, keeps what
 * it has.
 */
export function withArchives(text, registry) {
  const locked = JSON.parse(text);
  for (const [place, one] of Object.entries(locked.packages)) {
    if (!one.integrity || one.resolved) continue;
    const name = one.name ?? place.slice(place.lastIndexOf('node_modules/') + 'node_modules/'.length);
    one.resolved = `${registry.replace(/\/*$/, '')}/${name}/-/${name.split('/').at(-1)}-${one.version}.tgz`;
  }
  return JSON.stringify(locked);
}

/**
 * Our lock file names no registry. npm would ask for the whole record of every package to learn where its archive lies, a third
 * of its work; so it is told, and asks after all where an archive is not found.
 */
function install() {
  const registry = npm('config', 'get', 'registry').stdout?.trim();
  if (/^https?:/.test(registry ?? '')) {
    writeFileSync(shrinkwrap, withArchives(readFileSync(lock, 'utf8'), registry));
    const done = ci();
    rmSync(shrinkwrap, { force: true });
    if (done.status === 0 || !/\bE(4\d\d|INTEGRITY|INVALID\w*)\b/.test(done.stderr ?? '')) return done;
  }
  return ci();
}

/** Installs npm packages when the lock file is not the one last installed. */
export function installDependencies() {
  // Whoever was stopped while installing left it.
  rmSync(shrinkwrap, { force: true });
  const wanted = createHash('sha256').update(readFileSync(lock)).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return 'unchanged';
  const done = install();
  if (done.status !== 0) {
    process.stderr.write(`${done.stdout ?? ''}${done.stderr ?? ''}`);
    throw new Stop(
      'npm ci failed.',
      'Check the connection to your package registry, then run the command again.',
    );
  }
  writeFileSync(stamp, wanted);
  return 'installed';
}

/** Debian's lists of packages are fetched once, however many are installed. */
let listed = false;

/** Installs a Debian package when `present` says it is missing. As root, or through sudo without a password. */
export function installDebian(packageName, present) {
  if (present()) return 'there already';
  const isRoot = process.getuid?.() === 0;
  const command = `apt-get install -y ${packageName}`;
  const remedy = `Install it yourself, then run this command again:  sudo ${command}`;
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const run = (line) =>
    spawnSync(isRoot ? 'sh' : 'sudo', isRoot ? ['-c', line] : ['-n', 'sh', '-c', line], {
      encoding: 'utf8',
      stdio: 'pipe',
      env,
    });
  let done = run(listed ? command : `apt-get update && ${command}`);
  if (done.status !== 0) done = run(command);
  listed = true;
  if (done.status !== 0 || !present()) {
    process.stderr.write(done.stderr ?? '');
    throw new Stop(`${packageName} is missing and could not be installed.`, remedy);
  }
  return 'installed';
}

export const POSTGRES = '/usr/lib/postgresql';

/** Major versions of PostgreSQL on this machine, newest first. */
export function postgresVersions() {
  if (!existsSync(POSTGRES)) return [];
  return readdirSync(POSTGRES)
    .filter((version) => existsSync(path.join(POSTGRES, version, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a));
}

export const installPostgres = () => installDebian('postgresql', () => postgresVersions().length > 0);

/** Python, with which a trial's package is computed again in the tests. */
export const installPython = () =>
  installDebian('python3', () => spawnSync('python3', ['--version']).status === 0);

/** What reads PDF files in the tests: poppler's tools and qpdf. */
export const installPdfTools = () =>
  installDebian('poppler-utils qpdf', () =>
    ['pdftotext', 'pdfimages', 'qpdf'].every((tool) => !spawnSync(tool, ['--version']).error),
  );

/** Debian's Chromium without a window, and the whole one; the first takes two thirds of the time in tests. */
export const CHROMIUMS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** The first of the two that is there, or that can be installed. */
export function installChromium() {
  const [shell, whole] = CHROMIUMS;
  try {
    return installDebian('chromium-headless-shell', () => existsSync(shell));
  } catch {
    return installDebian('chromium', () => existsSync(whole));
  }
}
