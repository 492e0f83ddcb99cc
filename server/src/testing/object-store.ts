import { createHash } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { AwsV4Signer } from 'aws4fetch';

/**
 * For tests only: a stand-in for an object store that speaks as much of the S3 protocol as the application uses (put, get, not
 * over what is there) and checks every signature. It keeps everything in memory and listens on loopback only.
 */
export interface ObjectStore {
  endpoint: string;
  objects: Map<string, { type: string; bytes: Buffer }>;
  /** Answers every request with this, to see what a failing store does. */
  fail: (status: number | undefined) => void;
  stop: () => Promise<void>;
}

export async function startObjectStore(keys: {
  accessKeyId: string;
  secretAccessKey: string;
  region: string;
}): Promise<ObjectStore> {
  const objects: ObjectStore['objects'] = new Map();
  let failing: number | undefined;
  const server = createServer((req, res) => {
    const parts: Buffer[] = [];
    req.on('data', (d: Buffer) => parts.push(d));
    req.on('end', () => void answer(Buffer.concat(parts)));
    const end = (status: number): void => void res.writeHead(status).end();
    const answer = async (body: Buffer): Promise<void> => {
      if (failing !== undefined) return end(failing);
      const at = req.headers['x-amz-date'];
      const signed = req.headers.authorization ?? '';
      const names = /SignedHeaders=([^,]+)/.exec(signed)?.[1]?.split(';') ?? [];
      const headers = Object.fromEntries(
        names.filter((n) => n !== 'host').map((n) => [n, String(req.headers[n] ?? '')]),
      );
      const signer = new AwsV4Signer({
        ...keys,
        service: 's3',
        method: req.method!,
        url: `http://${req.headers.host}${req.url}`,
        headers,
        datetime: String(at),
        allHeaders: true,
        ...(body.length > 0 ? { body: new Uint8Array(body) } : {}),
      });
      const { headers: wanted } = await signer.sign();
      if (typeof at !== 'string' || wanted.get('authorization') !== signed) return end(403);
      const sum = req.headers['x-amz-content-sha256'];
      if (body.length > 0 && sum !== 'UNSIGNED-PAYLOAD' && sum !== createHash('sha256').update(body).digest('hex'))
        return end(400);
      const name = req.url!;
      if (req.method === 'PUT') {
        if (req.headers['if-none-match'] === '*' && objects.has(name)) return end(412);
        objects.set(name, { type: String(req.headers['content-type']), bytes: body });
        return end(200);
      }
      const object = objects.get(name);
      if (!object) return end(404);
      res.writeHead(200, { 'content-type': object.type }).end(object.bytes);
    };
  });
  await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
  return {
    endpoint: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    objects,
    fail: (status) => (failing = status),
    stop: () => new Promise((done) => void server.close(() => done())),
  };
}
