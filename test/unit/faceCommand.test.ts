import { expect } from 'chai';
import { decode } from 'fast-png';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { faceCommand } from '../../src/cli/faceCommand.ts';

const WEIR = 'demo/plans/copper-weir.dripline.json';

/** What the command says and ends with. */
function face(...args: readonly string[]): { readonly status: number; readonly stderr: string } {
  const said: string[] = [];
  const status = faceCommand(args, (line) => said.push(line));
  return { status, stderr: said.join('\n') };
}

describe('npm run face', () => {
  const dir = mkdtempSync(join(tmpdir(), 'drip-line-face-'));
  const out = join(dir, 'face.png');
  after(() => {
    rmSync(dir, { recursive: true });
  });

  /** "#rrggbb" of a pixel of the written picture, by its place in it, 0..1 from the left and from the top. */
  function colourAt(x: number, y: number): string {
    const { width, height, data } = decode(readFileSync(out));
    const at = (Math.floor(y * height) * width + Math.floor(x * width)) * 4;
    return data[at + 3] === 0
      ? 'clear'
      : `#${[...data.slice(at, at + 3)].map((n) => n.toString(16).padStart(2, '0')).join('')}`;
  }

  it('writes a section, a bar’s face, a plan and the top as PNG, in the size asked for', () => {
    for (const [what, size] of [
      [['--section', '120'], '600x450'],
      [['--bar', '9', '--side', 'far'], '300x200'],
      [['--plan', '30', '--state', 'pour'], '200x400'],
      [['--top'], '150x150'],
    ] as const) {
      const run = face(WEIR, ...what, '--size', size, '--out', out);
      expect([run.status, run.stderr]).to.deep.equal([0, '']);
      const { width, height } = decode(readFileSync(out));
      expect(`${width}x${height}`).to.equal(size);
    }
  });

  it('is a command of its own', () => {
    const run = spawnSync(
      process.execPath,
      ['--import', 'tsx', 'src/cli/face.ts', WEIR, '--top', '--out', join(dir, 'nowhere', 'x.png')],
      { encoding: 'utf8' },
    );
    expect(run.status).to.equal(2);
    expect(run.stderr).to.include('no such file or directory');
  });

  it('shows what was poured where it was poured, the far face mirrored', () => {
    // Copper Weir: five slanted layers, pot A below and on top, E a wedge that is thick at the right
    face(WEIR, '--bar', '5', '--out', out);
    const [foot, wedge, head] = [colourAt(0.1, 0.95), colourAt(0.9, 0.4), colourAt(0.1, 0.1)];
    expect(foot).to.equal(head);
    expect(wedge).to.not.equal(head);
    expect(colourAt(0.05, 0.2)).to.equal(head);
    face(WEIR, '--bar', '5', '--side', 'far', '--out', out);
    expect(colourAt(0.1, 0.4)).to.equal(wedge);
    // square to 300 x 100: the loaf stands in the middle, clear beside it
    face(WEIR, '--section', '10', '--size', '300x100', '--out', out);
    expect(colourAt(0.02, 0.5)).to.equal('clear');
    expect(colourAt(0.5, 0.5)).to.not.equal('clear');
  });

  it('says what is wrong with what was asked for, with its number, and writes nothing', () => {
    const broken = join(dir, 'broken.json');
    writeFileSync(broken, '{"format":"drip-line/plan","version":4}');
    const none = join(dir, 'none.png');
    for (const [args, says] of [
      [[WEIR, '--bar', '12', '--out', none], '--bar: 12 is none of the 9 bars'],
      [[WEIR, '--bar', 'x', '--out', none], '--bar: x is none of the 9 bars'],
      [[WEIR, '--section', '900', '--out', none], '--section: 900 is outside 0 to 249 mm'],
      [[WEIR, '--plan', '-3', '--out', none], '--plan'],
      [[WEIR, '--top', '--bar', '1', '--out', none], 'one of --bar, --section, --plan and --top is wanted'],
      [[WEIR, '--top', '--side', 'far', '--out', none], '--side goes with --bar'],
      [[WEIR, '--bar', '1', '--side', 'left', '--out', none], '--side: "left" is none of near, far, top'],
      [[WEIR, '--top', '--size', '0x40', '--out', none], '--size: "0x40"'],
      [[WEIR, '--top', '--state', 'raw', '--out', none], '--state: "raw" is none of pour, cut, cured'],
      [[WEIR, '--top'], 'usage: npm run -s face'],
      [[broken, '--top', '--out', none], 'id: '],
      [['nowhere.json', '--top', '--out', none], 'nowhere.json'],
    ] as const) {
      const run = face(...args);
      expect(run.status, args.join(' ')).to.equal(2);
      expect(run.stderr, args.join(' ')).to.include(says);
    }
    expect(() => readFileSync(none)).to.throw();
  });
});
