import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { afterEach, describe, expect, it } from 'vitest';
import { resetCluster, startCluster } from '../cluster.js';
import { throwAwayFolder } from '../data-folder.js';

const folders: string[] = [];
const newFolder = () => {
  const folder = throwAwayFolder();
  folders.push(folder);
  return folder;
};
afterEach(() => {
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true });
});

const ask = async (url: string, sql: string) => {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<{ n: number }>(sql)).rows;
  } finally {
    await client.end();
  }
};

/** A folder whose cluster was started once, holds a row, and was stopped. */
async function withOneRow(): Promise<string> {
  const folder = newFolder();
  const cluster = await startCluster(folder);
  await ask(cluster.ownerUrl, 'create table kept (n integer)');
  await ask(cluster.ownerUrl, 'insert into kept values (7)');
  cluster.stop();
  return folder;
}
const rowIsThere = async (folder: string) => {
  const cluster = await startCluster(folder);
  try {
    expect(await ask(cluster.ownerUrl, 'select n from kept')).toEqual([{ n: 7 }]);
  } finally {
    cluster.stop();
  }
};

describe('a data folder', () => {
  it('without its PG_VERSION, its cluster.json or its database is left alone, with what was found and the way out', async () => {
    const folder = await withOneRow();
    const data = path.join(folder, 'postgres');
    const aside = (name: string) => [path.join(folder, name), path.join(folder, 'elsewhere')] as const;
    const before = readdirSync(data);

    renameSync(path.join(data, 'PG_VERSION'), path.join(folder, 'elsewhere'));
    await expect(startCluster(folder)).rejects.toThrow(/holds files, but no PG_VERSION.*Nothing was touched/);
    renameSync(path.join(folder, 'elsewhere'), path.join(data, 'PG_VERSION'));

    renameSync(...aside('cluster.json'));
    await expect(startCluster(folder)).rejects.toThrow(/holds a database, but .*cluster\.json.* is missing/);
    writeFileSync(path.join(folder, 'cluster.json'), '{"port":"a lot","password":3}');
    await expect(startCluster(folder)).rejects.toThrow(
      /cluster\.json, which says how to reach the database, can't be read/,
    );
    renameSync(path.join(folder, 'elsewhere'), path.join(folder, 'cluster.json'));

    renameSync(...aside('postgres'));
    await expect(startCluster(folder)).rejects.toThrow(
      /tells of a database, but .* is missing. Is a disk not mounted\?/,
    );
    renameSync(path.join(folder, 'elsewhere'), data);

    expect(readdirSync(data)).toEqual(before);
    await rowIsThere(folder);
  });

  it('whose first start was cut short is made again, but not over files that are not its own', async () => {
    const folder = newFolder();
    mkdirSync(path.join(folder, 'unfinished', 'postgres'), { recursive: true });
    writeFileSync(path.join(folder, 'unfinished', 'postgres', 'PG_VERSION'), '15\n');
    await expect(startCluster(folder)).rejects.toThrow(/holds files Tasche did not make/);
    expect(existsSync(path.join(folder, 'unfinished', 'postgres', 'PG_VERSION'))).toBe(true);
    writeFileSync(path.join(folder, 'unfinished', 'made-by-tasche'), '');
    // Cut short after the way to reach it was recorded, and before it was moved into its place.
    writeFileSync(path.join(folder, 'cluster.json'), '{"port":5555,"password":"long-enough"}');
    const cluster = await startCluster(folder);
    expect(await ask(cluster.ownerUrl, 'select 1 as n')).toEqual([{ n: 1 }]);
    cluster.stop();
    expect(readdirSync(folder).sort()).toEqual(['cluster.json', 'postgres']);
  });

  it('that holds no database of ours is not emptied by --reset', () => {
    const folder = newFolder();
    mkdirSync(path.join(folder, 'postgres'));
    writeFileSync(path.join(folder, 'postgres', 'thesis.txt'), 'all of it');
    expect(() => {
      resetCluster(folder);
    }).toThrow(/no database of Tasche's/);
    expect(readFileSync(path.join(folder, 'postgres', 'thesis.txt'), 'utf8')).toBe('all of it');
  });

  it('with a postmaster.pid that names a living stranger is started, and the stranger hears nothing of it', async () => {
    const folder = await withOneRow();
    const stranger = spawn('sleep', ['600']);
    let ended = false;
    stranger.once('exit', () => {
      ended = true;
    });
    try {
      const data = path.join(folder, 'postgres');
      writeFileSync(
        path.join(data, 'postmaster.pid'),
        `${stranger.pid}\n${data}\n1700000000\n5432\n\n127.0.0.1\n0 0\nready   \n`,
      );
      await rowIsThere(folder);
      writeFileSync(
        path.join(data, 'postmaster.pid'),
        `${stranger.pid}\n${data}\n1700000000\n5432\n\n127.0.0.1\n0 0\nready   \n`,
      );
      resetCluster(folder);
      expect(ended).toBe(false);
      expect(existsSync(data)).toBe(false);
    } finally {
      stranger.kill('SIGKILL');
    }
  });

  it('of an earlier version gets the roles it lacks, once, and keeps what is in it', async () => {
    const folder = throwAwayFolder();
    try {
      const first = await startCluster(folder);
      await ask(first.ownerUrl, 'create table kept (n integer)');
      await ask(first.ownerUrl, 'insert into kept values (7)');
      first.stop();
      const file = path.join(folder, 'cluster.json');
      const { port, password } = JSON.parse(readFileSync(file, 'utf8')) as { port: number; password: string };
      writeFileSync(file, JSON.stringify({ port, password }));
      const second = await startCluster(folder);
      expect(await ask(second.ownerUrl, 'select n from kept')).toEqual([{ n: 7 }]);
      expect(await ask(second.url, 'select 1 as n')).toEqual([{ n: 1 }]);
      expect(await ask(second.backupUrl, 'select n from kept')).toEqual([{ n: 7 }]);
      await expect(ask(second.backupUrl, 'insert into kept values (8)')).rejects.toThrow(/permission denied/);
      second.stop();
      const third = await startCluster(folder);
      expect(third.url).toBe(second.url);
      third.stop();
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
