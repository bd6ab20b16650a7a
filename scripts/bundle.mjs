// Bundles a TypeScript entry for Node; packages stay outside. Fonts beside the entry go beside the bundle.
import { cpSync, existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { rolldown } from 'rolldown';

const [input, file] = process.argv.slice(2);
const bundle = await rolldown({
  input,
  platform: 'node',
  tsconfig: 'tsconfig.json',
  logLevel: 'warn',
  external: (id) => !/^(\.|\/|@core|@contract|@demo)/.test(id),
});
await bundle.write({ file, format: 'esm' });
const fonts = join(dirname(input), 'fonts');
if (existsSync(fonts)) cpSync(fonts, join(dirname(file), 'fonts'), { recursive: true });
