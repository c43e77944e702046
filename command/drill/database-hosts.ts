import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Host } from './hosts.js';

/** Passwords of the drill's own database; it lives as long as the drill. */
export const SUPERUSER_PASSWORD = 'drill-superuser';
const REPLICATION_PASSWORD = 'drill-replication';

interface DatabaseHostsOptions {
  hosts: readonly Host[];
  /** A folder the postgres user can enter. */
  folder: string;
  postgresBin: string;
}

/** Three hosts, each with etcd, and PostgreSQL under Patroni; one replica at least confirms every commit. */
export function startDatabaseHosts({ hosts, folder, postgresBin }: DatabaseHostsOptions): void {
  const members = hosts.map(({ name, address }) => `${name}=http://${address}:2380`).join(',');
  for (const host of hosts) {
    const home = path.join(folder, host.name);
    const file = path.join(home, 'patroni.yml');
    mkdirSync(folder, { mode: 0o755, recursive: true });
    mkdirSync(home, { mode: 0o700 });
    writeFileSync(file, patroniOf(host, hosts, home, postgresBin));
    spawnSync('chown', ['-R', 'postgres:postgres', home]);
    host.keep({
      name: 'etcd',
      program: 'etcd',
      asPostgres: true,
      args: [
        ...['--name', host.name],
        ...['--data-dir', path.join(home, 'etcd')],
        ...['--listen-peer-urls', `http://${host.address}:2380`],
        ...['--initial-advertise-peer-urls', `http://${host.address}:2380`],
        ...['--listen-client-urls', `http://${host.address}:2379,http://127.0.0.1:2379`],
        ...['--advertise-client-urls', `http://${host.address}:2379`],
        ...['--initial-cluster', members],
        ...['--initial-cluster-token', 'tasche-drill'],
        // Two cores carry seven hosts here: an election is not called at every hiccup.
        ...['--heartbeat-interval', '300', '--election-timeout', '3000'],
        '--enable-v2',
        ...['--logger', 'zap', '--log-level', 'error'],
      ],
    });
    host.keep({ name: 'patroni', program: '/usr/bin/patroni', asPostgres: true, args: [file] });
  }
}

/** Patroni's settings of one host; docs/several-machines.md explains them. */
function patroniOf(host: Host, hosts: readonly Host[], home: string, postgresBin: string): string {
  const network = `${host.address.replace(/\.\d+$/, '.0')}/24`;
  return JSON.stringify(
    {
      scope: 'tasche',
      name: host.name,
      restapi: { listen: '0.0.0.0:8008', connect_address: `${host.address}:8008` },
      // By its version 2. By version 3 this Patroni (3.0.2) writes the leader's key without looking once
      // its lease ran out while it
      // was cut off (etcd3.py, _update_leader), and takes the lead back from the host elected meanwhile:
      // the drill lost changes.
      etcd: { hosts: hosts.map(({ address }) => `${address}:2379`) },
      bootstrap: {
        dcs: {
          ttl: 20,
          loop_wait: 5,
          retry_timeout: 5,
          primary_start_timeout: 10,
          master_start_timeout: 10,
          maximum_lag_on_failover: 1_048_576,
          synchronous_mode: true,
          synchronous_mode_strict: true,
          postgresql: {
            use_pg_rewind: true,
            use_slots: true,
            parameters: {
              max_connections: 100,
              wal_log_hints: 'on',
              wal_sender_timeout: '5s',
              wal_receiver_timeout: '5s',
              tcp_keepalives_idle: 10,
              tcp_keepalives_interval: 5,
              tcp_keepalives_count: 3,
            },
          },
        },
        initdb: [{ encoding: 'UTF8' }, { locale: 'C.UTF-8' }],
      },
      postgresql: {
        listen: '0.0.0.0:5432',
        connect_address: `${host.address}:5432`,
        data_dir: path.join(home, 'postgres'),
        bin_dir: postgresBin,
        pgpass: path.join(home, 'pgpass'),
        pg_hba: [
          'local all all trust',
          'host all all 127.0.0.1/32 scram-sha-256',
          `host all all ${network} scram-sha-256`,
          'host replication replicator 127.0.0.1/32 scram-sha-256',
          `host replication replicator ${network} scram-sha-256`,
        ],
        parameters: { unix_socket_directories: home, shared_buffers: '128MB' },
        remove_data_directory_on_rewind_failure: true,
        remove_data_directory_on_diverged_timelines: true,
        authentication: {
          superuser: { username: 'postgres', password: SUPERUSER_PASSWORD },
          replication: { username: 'replicator', password: REPLICATION_PASSWORD },
          rewind: { username: 'rewinder', password: REPLICATION_PASSWORD },
        },
      },
    },
    null,
    2,
  );
}

/**
 * HAProxy's settings in front of the databases: the host Patroni calls the primary gets every connection.
 */
export function databaseProxyOf(hosts: readonly Host[]): string {
  return `${HAPROXY_DEFAULTS}
listen database
  mode tcp
  bind :5432
  timeout client 1h
  timeout server 1h
  option clitcpka
  option srvtcpka
  option httpchk OPTIONS /primary
  http-check expect status 200
  default-server inter 1s fastinter 500ms downinter 1s fall 2 rise 1 on-marked-down shutdown-sessions
${hosts.map(({ name, address }) => `  server ${name} ${address}:5432 check port 8008`).join('\n')}
`;
}

/**
 * HAProxy's settings in front of the servers: ends TLS, and gives each request to a server that is ready.
 * @param name the servers are asked by
 */
export function serverProxyOf(hosts: readonly Host[], name: string, certificate: string): string {
  return `${HAPROXY_DEFAULTS}
frontend people
  mode http
  bind :443 ssl crt ${certificate}
  timeout client 60s
  option forwardfor
  http-request set-header X-Forwarded-Proto https
  default_backend servers
backend servers
  mode http
  balance roundrobin
  timeout server 60s
  option redispatch
  retry-on conn-failure
  option httpchk
  http-check send meth GET uri /api/ready ver HTTP/1.1 hdr Host ${name}
  http-check expect status 200
  default-server inter 1s fastinter 500ms downinter 1s fall 2 rise 1 on-marked-down shutdown-sessions
${hosts.map(({ name, address }) => `  server ${name} ${address}:4310 check`).join('\n')}
`;
}

const HAPROXY_DEFAULTS = `global
  maxconn 1000
defaults
  timeout connect 2s
  timeout check 2s
  retries 2`;
