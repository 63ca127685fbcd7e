import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';

/** What a file names of others, types among it. */
function names(file: string): readonly string[] {
  const text = readFileSync(file, 'utf8');
  const found = [...text.matchAll(/^(?:import|export)\s+[^;]*?from\s+'(\.[^']+)';/gms)];
  return found.flatMap((m) => (/\.tsx?$/.test(m[1]!) ? [normalize(join(dirname(file), m[1]!))] : []));
}

/** Files of the source that name each other in a ring, a ring each. */
function rings(files: readonly string[]): readonly (readonly string[])[] {
  const known = new Set(files);
  const done = new Set<string>();
  const found: string[][] = [];
  const visit = (file: string, path: readonly string[]): void => {
    const at = path.indexOf(file);
    if (at >= 0) {
      found.push([...path.slice(at), file]);
      return;
    }
    if (done.has(file)) return;
    for (const next of names(file)) if (known.has(next)) visit(next, [...path, file]);
    done.add(file);
  };
  for (const file of files) visit(file, []);
  return found;
}

describe('the source', () => {
  it('has no ring of files that name each other, for values or for types', () => {
    const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
      .filter((f) => /\.tsx?$/.test(f))
      .map((f) => join('src', f));
    expect(files.length).to.be.above(300);
    expect(names('src/core/computed/stages.ts')).to.include('src/core/weigh/weights.ts');
    expect(rings(files).map((r) => r.join(' -> '))).to.deep.equal([]);
  });

  it('has no comment that is wider than the code', () => {
    const wide = ['src', 'test', 'bench', 'scripts'].flatMap((folder) =>
      readdirSync(folder, { recursive: true, encoding: 'utf8' })
        .filter((f) => /\.(tsx?|mjs)$/.test(f))
        .flatMap((f) =>
          readFileSync(join(folder, f), 'utf8')
            .split('\n')
            .filter((l) => l.length > 110 && /^\s*(\/\/ (?!eslint)|\*|\/\*)/.test(l))
            .map((l) => `${folder}/${f}: ${l.trim().slice(0, 60)}`),
        ),
    );
    expect(wide).to.deep.equal([]);
  });
});
