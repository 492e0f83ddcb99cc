import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { createServer, connect } from 'node:net';
import type { AddressInfo, Server, Socket } from 'node:net';
import { letAppIn } from '../db/app-login.ts';
import { testSecret } from './harness.ts';

/** For tests only: real server processes that can be killed, and a plain TCP balancer in front of them. */

export interface ServerProcess {
  url: string;
  port: number;
  child: ChildProcess;
  /** Ends it as a deployment does, and gives its exit code. */
  stop: () => Promise<number | null>;
  /** Ends it as a power cut does. */
  kill: () => Promise<void>;
}

export async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((up) => probe.listen(0, '127.0.0.1', up));
  const { port } = probe.address() as AddressInfo;
  await new Promise((down) => probe.close(down));
  return port;
}

/** The built server as its own process, on a database that is migrated. */
export async function spawnServer(
  databaseUrl: string,
  port?: number,
  env: Record<string, string> = {},
): Promise<ServerProcess> {
  const at = port ?? (await freePort());
  const url = await letAppIn(databaseUrl, testSecret);
  const child = spawn('node', ['dist/server/main.js'], {
    env: {
      ...process.env,
      DATABASE_URL: url,
      PORT: String(at),
      SESSION_SECRET: testSecret,
      WEB_DIR: 'web/dist',
      LOG_LEVEL: 'silent',
      ...env,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const ended = new Promise<number | null>((done) => child.on('exit', done));
  let said = '';
  child.stderr.on('data', (d: Buffer) => (said += d.toString()));
  await new Promise<void>((up, fail) => {
    child.stdout.on('data', (d: Buffer) => d.toString().includes('listening') && up());
    child.on('exit', () => fail(new Error(`The server ended: ${said}`)));
  });
  return {
    url: `http://127.0.0.1:${at}`,
    port: at,
    child,
    stop: () => {
      child.kill('SIGTERM');
      return ended;
    },
    kill: async () => {
      child.kill('SIGKILL');
      await ended;
    },
  };
}

export interface Balancer {
  url: string;
  /** Ports that connections go to, in turn; one that refuses is passed over. */
  targets: number[];
  /** Connections so far, by port. */
  served: Map<number, number>;
  stop: () => Promise<void>;
}

/** Hands each new connection to the next process, as the simplest balancer does. */
export async function balance(targets: number[]): Promise<Balancer> {
  let next = 0;
  const served = new Map<number, number>();
  const open = new Set<Socket>();
  const state: Balancer = { url: '', targets, served, stop: () => Promise.resolve() };
  const server: Server = createServer((client) => {
    open.add(client);
    client.on('close', () => open.delete(client));
    client.on('error', () => client.destroy());
    const attempt = (left: number): void => {
      const port = state.targets[next++ % state.targets.length]!;
      const up = connect(port, '127.0.0.1');
      up.once('connect', () => {
        served.set(port, (served.get(port) ?? 0) + 1);
        client.pipe(up).pipe(client);
      });
      up.on('error', () => (left > 1 && up.bytesWritten === 0 ? attempt(left - 1) : client.destroy()));
      up.on('close', () => client.destroy());
      client.on('close', () => up.destroy());
    };
    attempt(state.targets.length);
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  state.url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  state.stop = async () => {
    for (const socket of open) socket.destroy();
    await new Promise((down) => server.close(down));
  };
  return state;
}
