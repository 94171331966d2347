import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const MB = 1024 ** 2;

/** A small file system of its own, to be filled. */
export class SmallDisk {
  private constructor(readonly folder: string) {}

  /** @returns null if this machine does not allow mounting one */
  static mount(sizeMb: number): SmallDisk | null {
    const folder = mkdtempSync(join(tmpdir(), 'brote-disk-'));
    const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${sizeMb}m,mode=755`, 'tmpfs', folder]);
    if (mounted.status !== 0) {
      rmSync(folder, { recursive: true });
      return null;
    }
    chmodSync(folder, 0o755);
    return new SmallDisk(folder);
  }

  freeMb(): number {
    const { bavail, bsize } = statfsSync(this.folder);
    return (bavail * bsize) / MB;
  }

  /** Leaves so much room, MB. */
  fillTo(name: string, leftMb: number): void {
    const bytes = Math.max(0, Math.floor((this.freeMb() - leftMb) * MB));
    try {
      writeFileSync(join(this.folder, name), Buffer.alloc(bytes));
    } catch (error) {
      // Others wrote meanwhile: it is full already.
      if ((error as { code?: string }).code !== 'ENOSPC') throw error;
    }
  }

  makeRoom(name: string): void {
    rmSync(join(this.folder, name), { force: true });
  }

  clear(): void {
    spawnSync('umount', ['-l', this.folder]);
    rmSync(this.folder, { recursive: true, force: true });
  }
}
