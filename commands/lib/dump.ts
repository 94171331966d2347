import { spawnSync } from 'node:child_process';
import { renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import postgres from 'postgres';
import { Plain } from './say.ts';

/** Writes all of the private database into a file, which is there once it is whole. @throws Plain where it cannot be */
export function dumpTo(bin: string, adminUrl: string, file: string): void {
  const beside = `${file}.part`;
  try {
    const dumped = spawnSync(
      join(bin, 'pg_dump'),
      ['--format=custom', '--no-owner', '--file', beside, `${adminUrl}/brote`],
      { encoding: 'utf8' }
    );
    if (dumped.status !== 0) throw new Plain(`The backup could not be made:\n${dumped.stderr}`);
    renameSync(beside, file);
  } finally {
    rmSync(beside, { force: true });
  }
}

/** Into an empty database, by its owner, all or nothing; it is brought up to date as at any start. */
export async function bringBack(bin: string, adminUrl: string, file: string) {
  const admin = postgres(`${adminUrl}/postgres`, { max: 1, onnotice: () => {} });
  await admin.unsafe('drop database brote with (force)');
  await admin.unsafe('create database brote owner brote_owner');
  await admin.end();
  return spawnSync(
    join(bin, 'pg_restore'),
    ['--no-owner', '--role=brote_owner', '--single-transaction', '--dbname', `${adminUrl}/brote`, file],
    { encoding: 'utf8' }
  );
}
