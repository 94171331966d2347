import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { delimiter, join } from 'node:path';
import { isRoot } from './dataFolder.ts';
import { Plain, say } from './say.ts';

const DEBIAN_POSTGRES = '/usr/lib/postgresql';
/** The oldest PostgreSQL that Brote is known to run on. */
const OLDEST = 15;

function onPath(name: string): string | null {
  const folder = (process.env.PATH ?? '').split(delimiter).find((path) => existsSync(join(path, name)));
  return folder ? join(folder, name) : null;
}

function postgresBin(): string | null {
  const versions = existsSync(DEBIAN_POSTGRES)
    ? readdirSync(DEBIAN_POSTGRES)
        .map(Number)
        .filter((v) => v >= OLDEST)
    : [];
  for (const version of versions.sort((a, b) => b - a)) {
    const bin = join(DEBIAN_POSTGRES, String(version), 'bin');
    if (existsSync(join(bin, 'initdb')) && existsSync(join(bin, 'postgres'))) return bin;
  }
  const initdb = onPath('initdb');
  return initdb && onPath('postgres') ? join(initdb, '..') : null;
}

/** The folder of PostgreSQL's programs; installs them from Debian's packages where that is allowed. */
export function ensurePostgres(): string {
  return (
    postgresBin() ??
    (install('PostgreSQL', 'postgresql'), postgresBin()) ??
    missing('PostgreSQL', 'postgresql')
  );
}

/** The Chromium program; installs it from Debian's packages where that is allowed. */
export function ensureChromium(): string {
  const find = () => process.env.CHROMIUM ?? onPath('chromium');
  return find() ?? (install('Chromium', 'chromium'), find()) ?? missing('Chromium', 'chromium');
}

/** The nginx program, which the tests put before the application; installed likewise. */
export function ensureNginx(): string {
  const find = () => onPath('nginx') ?? (existsSync('/usr/sbin/nginx') ? '/usr/sbin/nginx' : null);
  return find() ?? (install('nginx', 'nginx-light'), find()) ?? missing('nginx', 'nginx-light');
}

/** The program that checks a systemd unit; installed likewise. */
export function ensureSystemdAnalyze(): string {
  const find = () => onPath('systemd-analyze');
  return find() ?? (install('systemd', 'systemd'), find()) ?? missing('systemd', 'systemd');
}

function missing(what: string, name: string): never {
  throw new Plain(
    `${what} is not installed, and this user may not install it. Paste this, then start again:\n  sudo apt-get install -y ${name}`
  );
}

function install(what: string, name: string): void {
  const sudo = isRoot ? [] : ['sudo', '-n'];
  if (!onPath('apt-get') || (!isRoot && spawnSync('sudo', ['-n', 'true']).status !== 0)) missing(what, name);
  say(`Installing ${what} from Debian's packages (once) ...`);
  const kept = keepFromStartingItsOwn(name);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const run = (...words: string[]) => {
    const [program, ...rest] = [...sudo, ...words];
    return spawnSync(program!, rest, { stdio: ['ignore', 'ignore', 'inherit'], env }).status === 0;
  };
  try {
    const done =
      run('apt-get', 'install', '-y', '-qq', name) ||
      (run('apt-get', 'update', '-qq') && run('apt-get', 'install', '-y', '-qq', name));
    if (!done)
      throw new Plain(
        `${what} could not be installed. Try it by hand, then start again:\n  sudo apt-get update && sudo apt-get install -y ${name}`
      );
  } finally {
    if (kept) rmSync(kept, { force: true });
  }
}

/**
 * Debian's packages start services of their own, which Brote does not need: PostgreSQL's is asked to make no cluster,
 * any other to start nothing while it is installed, by Debian's own means for that.
 */
function keepFromStartingItsOwn(name: string): string | null {
  if (!isRoot) return null;
  if (name !== 'postgresql') {
    const policy = '/usr/sbin/policy-rc.d';
    if (existsSync(policy)) return null;
    writeFileSync(policy, '#!/bin/sh\nexit 101\n', { mode: 0o755 });
    return policy;
  }
  const folder = '/etc/postgresql-common/createcluster.d';
  const file = join(folder, 'brote.conf');
  mkdirSync(folder, { recursive: true });
  writeFileSync(file, 'create_main_cluster = false\n');
  return file;
}
