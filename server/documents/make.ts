import { gunzipSync } from 'node:zlib';
import type { FilmFile } from '@contract';
import { FilmDeriver } from '@core/film';
import type { Printed } from './printed';
import { voiceOf, type Language } from './voice';
import type { FilmInput } from '@core/model';
import { groundOf, unpackHeights, type Ground } from '@core/terrain';
import { MAKERS, type DocumentOptions } from './registry';

/** Ground of the locations that have a raster of heights; one that cannot be read is left out, as on the pages. */
const terrainOf = (file: FilmFile): ReadonlyMap<string, Ground> => {
  const bytes = new Map(file.assets.map((a) => [a.id, a.data]));
  return new Map(
    file.grounds.flatMap((row): [string, Ground][] => {
      const location = file.locations.find((l) => l.id === row.locationId);
      const packed = bytes.get(row.assetId);
      if (!location || !packed) return [];
      const grid = unpackHeights(
        row,
        new Uint8Array(
          gunzipSync(Buffer.from(packed, 'base64'), { maxOutputLength: 2 * row.columns * row.rows }),
        ),
      );
      return grid ? [[location.id, groundOf(grid, location.elevationM)]] : [];
    }),
  );
};

/** A film with everything worked out, from the same core and the same ground as the pages have it. */
export const wholeOf = (file: FilmFile, language: Language = 'en'): Printed => {
  const input: FilmInput = { ...(file as FilmInput), terrain: terrainOf(file) };
  return { input, derived: new FilmDeriver().derive(input), voice: voiceOf(language, input.film.units) };
};

/** Makes a document of a film. @param name file name as registered */
export const makeDocument = async (
  file: FilmFile,
  name: string,
  options: DocumentOptions,
): Promise<Uint8Array> => {
  const make = MAKERS[name];
  if (!make) throw new Error(`There is no document ${name}.`);
  return make(wholeOf(file, options.language), options, file);
};
