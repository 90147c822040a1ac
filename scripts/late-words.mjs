// `node scripts/late-words.mjs`: words that come late (client/src/words/first.ts has those that come first) are said only by what comes with them; elsewhere they might not be there yet.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { root } from './lib.mjs';

const SRC = join(root, 'client/src');
const filesIn = (folder) =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesIn(path) : [path];
  });
const files = filesIn(SRC).filter((path) => /\.tsx?$/.test(path) && !path.includes('.test.') && !path.includes('/testing/') && !path.includes('/words/en'));
const textOf = new Map(files.map((path) => [path, readFileSync(path, 'utf8')]));

/** The file a name in an import means; null: it is a package. */
function meant(from, name) {
  const base = name.startsWith('@/') ? join(SRC, name.slice(2)) : name.startsWith('.') ? resolve(dirname(from), name) : null;
  if (base === null) return null;
  return [base, join(base, 'index.ts'), join(base, 'index.tsx')].find((path) => textOf.has(path) && existsSync(path)) ?? null;
}

/** What is loaded with a file, or after it by its own part of the application: what it imports, and what that does. */
function closureOf(start) {
  const met = new Set();
  const waiting = [start];
  for (let path = waiting.pop(); path !== undefined; path = waiting.pop()) {
    if (met.has(path)) continue;
    met.add(path);
    const later = [...textOf.get(path).matchAll(/import\('(\.\/[^']+)'\)/g)];
    for (const [, name] of [...textOf.get(path).matchAll(/from '([^']+)'/g), ...later]) {
      const file = meant(path, name);
      if (file) waiting.push(file);
    }
  }
  return met;
}

/** What is fetched by itself runs at once. What it imports runs when it is first used (metro's `inlineRequires`): such a file brings words for itself alone, but for a screen, which runs before what it shows. */
const fetched = new Set(files.flatMap((path) => [...textOf.get(path).matchAll(/import\('([^']+)'\)/g)].flatMap(([, name]) => meant(path, name) ?? [])));

const firstModules = new Set([...readFileSync(join(SRC, 'words/first.ts'), 'utf8').matchAll(/'\.\/en\/([\w-]+)\.ts'/g)].map(([, name]) => name));
const late = readdirSync(join(SRC, 'words/en')).map((file) => file.replace(/\.ts$/, '')).filter((name) => !firstModules.has(name)); // prettier-ignore

const wrong = late.flatMap((name) => {
  const bringers = files.filter((path) => textOf.get(path).includes(`@/words/en/${name}.ts'`) && textOf.get(path).includes('addWords('));
  if (bringers.length === 0) return [`nothing brings ${name}.ts`];
  const inside = new Set(bringers.flatMap((path) => (fetched.has(path) || path.endsWith('-screen.tsx') ? [...closureOf(path)] : [path])));
  const words = readFileSync(join(SRC, `words/en/${name}.ts`), 'utf8');
  const keys = [...words.matchAll(/^ {2}'([\w.-]+)':/gm)].map(([, key]) => key.replace(/_(one|other)$/, ''));
  const astray = (path) => keys.filter((key) => textOf.get(path).includes(`t('${key}'`));
  return files
    .filter((path) => !inside.has(path))
    .flatMap((path) => astray(path).map((key) => `${path.slice(SRC.length)} says ${key}, which comes with ${name}.ts`));
});
if (wrong.length > 0) {
  console.error(wrong.join('\n'));
  process.exit(1);
}
