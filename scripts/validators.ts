import standaloneCode from 'ajv/dist/standalone/index.js';
import type { Plugin } from 'vite';
import { ENTITIES } from '../contract/entities';
import { newValidator } from '../contract/validator';

const ID = 'virtual:validators';

/** Ajv's generated module asks for its helpers by `require`; a browser module imports them. */
const asModule = (code: string): string => {
  const imports: string[] = [];
  const body = code.replace(/require\("([^"]+)"\)(\.default)?/g, (_whole, path: string) => {
    const name = `helper${imports.length}`;
    imports.push(
      `import ${name}_module from '${path}.js';\nconst ${name} = ${name}_module.default ?? ${name}_module;`,
    );
    return name;
  });
  return `${imports.join('\n')}\n${body.replace('"use strict";', '')}`;
};

/** The package is CommonJS: depending on who loads it, its function sits one level deeper. */
const generate = (standaloneCode as unknown as { default?: typeof standaloneCode }).default ?? standaloneCode;

/** Checks of every entity, compiled at build time: the page's policy allows no code made at run time. */
export const validators = (): Plugin => ({
  name: 'dusk-validators',
  resolveId: (id) => (id === ID ? `\0${ID}` : null),
  load: (id) => {
    if (id !== `\0${ID}`) return null;
    const ajv = newValidator({ messages: false, code: { source: true, esm: true, lines: false } });
    const names = Object.fromEntries(
      Object.entries(ENTITIES).map(([kind, schema]) => {
        ajv.addSchema({ ...schema, $id: kind });
        return [kind, kind];
      }),
    );
    return { code: asModule(generate(ajv, names)), moduleType: 'js' };
  },
});
