import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { request as httpsRequest } from 'node:https';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from '../../command/ports.js';
import { PASSWORD, signInServer, type SignInServer } from './sign-in-server.js';

/** The nginx of docs/security.md, in front of the application, ending TLS with a certificate made here. */
let door: SignInServer;
let server: Server;
let nginx: ChildProcess;
let folder: string;
let port: number;

beforeAll(async () => {
  door = await signInServer({ hosts: ['van.example'] });
  server = createServer(door.app);
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  folder = mkdtempSync(path.join(os.tmpdir(), 'tasche-nginx-'));
  execFileSync(
    'openssl',
    [
      ...'req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=van.example'.split(' '),
      '-keyout',
      path.join(folder, 'van.example.key'),
      '-out',
      path.join(folder, 'van.example.pem'),
    ],
    { stdio: 'ignore' },
  );
  port = await freePort();
  const example = /```\n(server \{[\s\S]*?\n\})\n```/.exec(
    readFileSync(path.resolve(import.meta.dirname, '../../docs/security.md'), 'utf8'),
  )![1]!;
  const block = example
    .replace('listen 443', `listen 127.0.0.1:${port}`)
    .replace('127.0.0.1:4310', `127.0.0.1:${(server.address() as AddressInfo).port}`)
    .replaceAll('van.example.pem', path.join(folder, 'van.example.pem'))
    .replaceAll('van.example.key', path.join(folder, 'van.example.key'));
  writeFileSync(
    path.join(folder, 'nginx.conf'),
    `pid ${folder}/nginx.pid; error_log ${folder}/error.log; worker_processes 1; events {}
     http { access_log off; client_body_temp_path ${folder}/body; proxy_temp_path ${folder}/proxy; fastcgi_temp_path ${folder}/f; uwsgi_temp_path ${folder}/u; scgi_temp_path ${folder}/s;
     ${block} }`,
  );
  nginx = spawn(
    '/usr/sbin/nginx',
    ['-p', folder, '-c', path.join(folder, 'nginx.conf'), '-g', 'daemon off;'],
    { stdio: 'ignore' },
  );
  let hasEnded = false;
  nginx.once('exit', () => {
    hasEnded = true;
  });
  for (;;) {
    try {
      await ask('GET', '/api/health');
      break;
    } catch {
      if (hasEnded) throw new Error(`nginx ended: ${readFileSync(path.join(folder, 'error.log'), 'utf8')}`);
      await new Promise((resolve) => {
        setTimeout(resolve, 50);
      });
    }
  }
});
afterAll(async () => {
  nginx?.kill('SIGTERM');
  await new Promise((resolve) => {
    server.closeAllConnections();
    server.close(resolve);
  });
  await door.close();
  rmSync(folder, { recursive: true, force: true });
});

function ask(method: string, where: string, body?: object, headers: Record<string, string> = {}) {
  return new Promise<{
    status: number;
    headers: Record<string, string | string[] | undefined>;
    text: string;
  }>((resolve, reject) => {
    const asked = httpsRequest(
      {
        host: '127.0.0.1',
        port,
        path: where,
        method,
        rejectUnauthorized: false,
        headers: { host: 'van.example', ...(body && { 'content-type': 'application/json' }), ...headers },
      },
      (answer) => {
        let text = '';
        answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
        answer.on('end', () => {
          resolve({ status: answer.statusCode!, headers: answer.headers, text });
        });
      },
    );
    asked.on('error', reject);
    asked.end(body && JSON.stringify(body));
  });
}

describe('behind nginx, which ends TLS', () => {
  it('signing in by the name of the server sets a cookie for TLS alone; the address noted is theirs', async () => {
    const signedIn = await ask('POST', '/api/sign-in', { email: door.ownerEmail, password: PASSWORD });
    expect(signedIn.status).toBe(200);
    const [cookie] = ([] as string[]).concat(signedIn.headers['set-cookie'] ?? []);
    expect(cookie).toMatch(/^__Host-tasche=.*Secure/);
    expect(signedIn.headers['strict-transport-security']).toBeDefined();
    const account = await ask('GET', '/api/account', undefined, { cookie: cookie!.split(';')[0]! });
    expect(account.status).toBe(200);
    const { sessions } = JSON.parse(account.text) as { sessions: { current: boolean; address: string }[] };
    expect(sessions.find(({ current }) => current)!.address).toBe('127.0.0.1');
  });

  it('a forged forwarding header is not believed past the proxy', async () => {
    const signedIn = await ask(
      'POST',
      '/api/sign-in',
      { email: door.ownerEmail, password: PASSWORD },
      { 'x-forwarded-for': '203.0.113.5' },
    );
    const [cookie] = ([] as string[]).concat(signedIn.headers['set-cookie'] ?? []);
    const { text } = await ask('GET', '/api/account', undefined, { cookie: cookie!.split(';')[0]! });
    expect(text).not.toContain('203.0.113.5');
    expect((await ask('GET', '/api/players', undefined, { host: 'elsewhere.example' })).status).toBe(403);
  });
});
