import { readFileSync, readlinkSync, readdirSync, realpathSync } from 'node:fs';

/** One process, told from any other that ever had its number: the moment it was started, of this boot. */
export interface ProcessMark {
  pid: number;
  /** As the kernel counts it, in ticks since it was booted. */
  startedAt: string;
  boot: string;
}

function bootId(): string {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
  } catch {
    return '';
  }
}

/** State and start of a process, as the kernel tells; null where there is none. */
function statOf(pid: number): { state: string; startedAt: string } | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name stands in brackets and may hold anything; what is asked for stands behind it.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return { state: fields[0] ?? '', startedAt: fields[19] ?? '' };
  } catch {
    return null;
  }
}

/** Whether a process of this number runs; one that is dead and not yet reaped does not. */
export function isRunning(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false;
  const stat = statOf(pid);
  return stat !== null && !['Z', 'X', 'x'].includes(stat.state);
}

/** The mark of a process that runs, by default this one; null where it does not. */
export function markOf(pid = process.pid): ProcessMark | null {
  const stat = statOf(pid);
  return stat && isRunning(pid) ? { pid, startedAt: stat.startedAt, boot: bootId() } : null;
}

/** Whether the process that left a mark still runs, and is no other that got its number. */
export function stillRuns(mark: ProcessMark): boolean {
  const now = markOf(mark.pid);
  return now !== null && now.startedAt === mark.startedAt && now.boot === mark.boot;
}

/** Whether a process runs and works in a folder. */
export function worksIn(pid: number, folder: string): boolean {
  if (!isRunning(pid)) return false;
  try {
    return readlinkSync(`/proc/${pid}/cwd`) === realpathSync(folder);
  } catch {
    return false;
  }
}

/** The processes that work in a folder, but for those that are dead and not reaped. */
export const workingIn = (folder: string): number[] =>
  readdirSync('/proc')
    .map(Number)
    .filter((pid) => Number.isInteger(pid) && pid > 0 && worksIn(pid, folder));
