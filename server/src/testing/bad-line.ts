import { createServer, connect } from 'node:net';
import type { AddressInfo, Socket } from 'node:net';

/** A line between a device and the server that can be bad in each of the ways in which lines are. */
export interface BadLine {
  url: string;
  /** What happens to what comes from now on. `dawdle`: each answer comes that many milliseconds late. */
  is: (how: 'good' | 'refuses' | 'swallows' | 'mute' | { dawdle: number }) => void;
  /** Bytes that the device sent and nobody got. */
  swallowed: () => number;
  close: () => Promise<void>;
}

export async function badLine(port: number): Promise<BadLine> {
  let how: Parameters<BadLine['is']>[0] = 'good';
  let swallowed = 0;
  const open = new Set<Socket>();
  const server = createServer((device) => {
    if (how === 'refuses') return void device.destroy();
    const behind = connect(port, '127.0.0.1');
    for (const socket of [device, behind]) {
      open.add(socket);
      socket.on('error', () => socket.destroy());
      socket.on('close', () => {
        open.delete(socket);
        (socket === device ? behind : device).destroy();
      });
    }
    device.on('data', (sent) => {
      if (how === 'swallows') swallowed += sent.length;
      else behind.write(sent);
    });
    behind.on('data', (answer) => {
      if (how === 'mute') return;
      if (typeof how === 'object') setTimeout(() => device.writable && device.write(answer), how.dawdle);
      else device.write(answer);
    });
  });
  await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
  const cut = (): void => open.forEach((socket) => socket.destroy());
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    is: (next) => {
      // What is open from a bad time stays bad: it is cut, as a router does in the end.
      if (next === 'good' || next === 'refuses') cut();
      how = next;
    },
    swallowed: () => swallowed,
    close: async () => {
      cut();
      await new Promise((done) => server.close(done));
    },
  };
}
