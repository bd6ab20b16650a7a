// Bundles a TypeScript entry for Node; packages stay outside.
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
