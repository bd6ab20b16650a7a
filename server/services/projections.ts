import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { HttpProblem } from '../http/problem';

/** A projection as the package of the register's definitions has it. */
export interface ProjectionWords {
  readonly code: string;
  readonly name: string;
  readonly proj4: string;
  readonly unit: string;
}

const folder = (): string =>
  join(dirname(createRequire(import.meta.url).resolve('epsg-index/package.json')), 's');

/**
 * Definition of a projection by its number in the EPSG register. The whole register is eight megabytes: pages ask for one.
 * @throws HttpProblem 404
 */
export const projectionOf = async (code: string): Promise<ProjectionWords> => {
  if (!/^\d{4,6}$/.test(code))
    throw new HttpProblem(404, 'no-projection', 'A projection is named by a number of four to six digits.');
  const text = await readFile(join(folder(), `${code}.json`), 'utf8').catch(() => null);
  const found = text === null ? null : (JSON.parse(text) as Partial<ProjectionWords>);
  if (!found?.proj4) throw new HttpProblem(404, 'no-projection', `The projection ${code} is not known here.`);
  return { code, name: found.name ?? code, proj4: found.proj4, unit: found.unit ?? '' };
};
