import { expect } from 'chai';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync, brotliCompressSync, gunzipSync, gzipSync } from 'node:zlib';
import { dripLineServer } from '../../src/server/server.ts';

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly body: Buffer;
}

const PAGE = `<!doctype html><title>Drip Line</title>${'<p>soap</p>'.repeat(200)}`;
const SCRIPT = `export const soap = ${JSON.stringify('lather '.repeat(400))};`;

describe('the server', () => {
  let dir: string;
  let server: Server;
  let port: number;

  // an install under a folder whose name begins with a dot
  before(async () => {
    dir = join(mkdtempSync(join(tmpdir(), 'drip-line-server-')), '.hidden', 'page');
    mkdirSync(join(dir, 'assets'), { recursive: true });
    for (const [name, text] of [
      ['index.html', PAGE],
      ['assets/soap-1a2b.js', SCRIPT],
      ['drop.svg', '<svg xmlns="http://www.w3.org/2000/svg"/>'],
    ] as const) {
      writeFileSync(join(dir, name), text);
      writeFileSync(join(dir, `${name}.br`), brotliCompressSync(text));
      writeFileSync(join(dir, `${name}.gz`), gzipSync(text));
    }
    server = dripLineServer({ pageDir: dir, studioDir: 'demo/plans' }).listen(0, '127.0.0.1');
    await once(server, 'listening');
    ({ port } = server.address() as AddressInfo);
  });
  after(() => {
    server.closeAllConnections();
    server.close();
    rmSync(join(dir, '..', '..'), { recursive: true });
  });

  const ask = (
    path: string,
    options: { method?: string; headers?: Record<string, string> } = {},
  ): Promise<Answer> =>
    new Promise((done, failed) => {
      const asked = request(
        { host: '127.0.0.1', port, path, method: options.method ?? 'GET', headers: options.headers ?? {} },
        (response) => {
          const parts: Buffer[] = [];
          response.on('data', (part: Buffer) => parts.push(part));
          response.on('end', () => {
            done({ status: response.statusCode ?? 0, headers: response.headers, body: Buffer.concat(parts) });
          });
        },
      );
      asked.on('error', failed);
      asked.end();
    });

  it('gives the page at every address that names no file', async () => {
    for (const path of ['/', '/plan/some-plan/design', '/kept', '/colorants?x=1']) {
      const { status, headers, body } = await ask(path);
      expect(status, path).to.equal(200);
      expect(headers['content-type']).to.match(/^text\/html/);
      expect(headers['cache-control']).to.equal('no-cache');
      expect(body.toString()).to.equal(PAGE);
    }
  });

  it('says so when a file is missing', async () => {
    for (const path of [
      '/none.js',
      '/assets/none-1a2b.js',
      '/assets/',
      '/a/b/none.svg',
      '/.env',
      '/assets/../../secret.txt',
    ]) {
      const { status, headers, body } = await ask(path);
      expect(status, path).to.equal(404);
      expect(headers['content-type']).to.match(/^text\/plain/);
      expect(body.toString()).to.equal('No such file.\n');
    }
  });

  it('never tells where in the code a fault arose', async () => {
    const asked = [
      ask('/%'),
      ask('/assets/%E0%A4%A'),
      ask('/plan/%ff/design'),
      ask('/drop.svg', { headers: { Range: 'bytes=99999-' } }),
      ask('/drop.svg', { headers: { Range: 'bytes=9-1' } }),
      ask('/assets/soap-1a2b.js', { headers: { Range: 'bytes=999999-9999999', 'Accept-Encoding': 'br' } }),
      ask(`/${'a'.repeat(3000)}%`),
    ];
    for (const { status, body } of await Promise.all(asked)) {
      expect(status).to.be.within(200, 499);
      expect(body.toString()).to.not.match(/node_modules|\/src\/|at .*\(|\.ts:|\.js:\d/);
    }
    expect((await ask('/%')).status).to.equal(400);
    expect((await ask('/drop.svg', { headers: { Range: 'bytes=99999-' } })).status).to.equal(416);
  });

  it('answers only to the names of this machine for itself', async () => {
    for (const Host of [
      'localhost',
      'localhost:4317',
      '127.0.0.1:80',
      '127.8.9.1',
      '[::1]:4317',
      'LOCALHOST',
    ])
      expect((await ask('/', { headers: { Host } })).status, Host).to.equal(200);
    for (const Host of [
      'evil.example',
      '192.168.1.5:4317',
      'localhost.evil.example',
      'evil.example:127.0.0.1',
      '0.0.0.0',
      '127.0.0.1.nip.example',
    ]) {
      const { status, body } = await ask('/studio.json', { headers: { Host } });
      expect(status, Host).to.equal(421);
      expect(body.toString()).to.not.include('Slate');
    }
  });

  it('answers to GET and HEAD, and to nothing else', async () => {
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE']) {
      const { status, headers } = await ask('/', { method });
      expect(status, method).to.equal(405);
      expect(headers.allow).to.equal('GET, HEAD');
    }
    const { status, body } = await ask('/', { method: 'HEAD' });
    expect(status).to.equal(200);
    expect(body).to.have.length(0);
  });

  it('sends what was compressed at the build to whoever takes it', async () => {
    const path = '/assets/soap-1a2b.js';
    const br = await ask(path, { headers: { 'Accept-Encoding': 'gzip, br' } });
    expect(br.headers['content-encoding']).to.equal('br');
    expect(br.headers['content-type']).to.match(/javascript/);
    expect(br.headers.vary).to.match(/Accept-Encoding/i);
    expect(brotliDecompressSync(br.body).toString()).to.equal(SCRIPT);
    const gz = await ask('/', { headers: { 'Accept-Encoding': 'gzip' } });
    expect(gz.headers['content-encoding']).to.equal('gzip');
    expect(gunzipSync(gz.body).toString()).to.equal(PAGE);
    expect((await ask(path)).body.toString()).to.equal(SCRIPT);
    expect(br.headers['cache-control']).to.equal('public, max-age=31536000, immutable');
  });

  it('sends the security headers with every answer', async () => {
    for (const path of ['/', '/none.js', '/%', '/studio.json']) {
      const { headers } = await ask(path);
      expect(headers['content-security-policy'], path).to.match(/default-src 'none'/);
      expect(headers['content-security-policy']).to.match(/script-src 'self'/);
      expect(headers['content-security-policy']).to.not.match(/unsafe/);
      expect(headers['x-content-type-options']).to.equal('nosniff');
      expect(headers['x-powered-by']).to.equal(undefined);
    }
  });

  it('sends the studio as plan files, each with its version', async () => {
    const { status, body } = await ask('/studio.json');
    expect(status).to.equal(200);
    const files = JSON.parse(body.toString()) as { format: string; version: number; name: string }[];
    expect(files.map((f) => f.name)).to.include('Slate Beds');
    for (const file of files) {
      expect(file.format).to.equal('drip-line/plan');
      expect(file.version).to.be.a('number');
    }
  });
});
