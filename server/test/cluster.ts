import { existsSync } from 'node:fs';
import type { TestProject } from 'vitest/node';
import { throwAwayCluster } from '../../command/cluster.js';
import { ensureDebian } from '../../command/debian.js';

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string;
    ownerUrl: string;
  }
}

/** One real PostgreSQL for all server tests; every test file makes its own workspaces in it. */
export default async function setup(project: TestProject): Promise<() => void> {
  // Here, before any test has its time counted: PDFs are read back by another program, and the server is asked
  // through a proxy that ends TLS.
  ensureDebian('pdftotext', 'poppler-utils', () => existsSync('/usr/bin/pdftotext'));
  ensureDebian('openssl', 'openssl', () => existsSync('/usr/bin/openssl'));
  ensureDebian('nginx', 'nginx-light', () => existsSync('/usr/sbin/nginx'));
  const cluster = await throwAwayCluster();
  project.provide('databaseUrl', cluster.url);
  project.provide('ownerUrl', cluster.ownerUrl);
  return cluster.stop;
}
