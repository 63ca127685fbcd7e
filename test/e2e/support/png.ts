import { crc32, deflateSync } from 'node:zlib';

const chunk = (kind: string, body: Buffer): Buffer => {
  const named = Buffer.concat([Buffer.from(kind, 'latin1'), body]);
  const length = Buffer.alloc(4);
  length.writeUInt32BE(body.length);
  const check = Buffer.alloc(4);
  check.writeUInt32BE(crc32(named));
  return Buffer.concat([length, named, check]);
};

/** A picture of two halves, each of one colour (r, g, b), as a PNG file. */
export function halves(
  left: readonly [number, number, number],
  right: readonly [number, number, number],
  width = 200,
  height = 100,
): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = Buffer.from([
    0,
    ...Array.from({ length: width }, (_, x) => (x < width / 2 ? left : right)).flat(),
  ]);
  const rows = Buffer.concat(Array.from({ length: height }, () => row));
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}
