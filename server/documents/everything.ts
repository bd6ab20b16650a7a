import { createHash } from 'node:crypto';
import type { FilmFile } from '@contract';
import { strToU8, zipSync } from 'fflate';
import { writeFilmFolder } from '../import/film-folder';
import type { Printed } from './printed';
import type { PaperText, Voice } from './voice';

/** The film itself, as it is opened again. */
const FILM = 'film.zip';

/** What lies in the folder, and what it is for. */
const CONTENTS: readonly (readonly [names: string, what: PaperText])[] = [
  [FILM, 'folderFilm'],
  ['call-sheet.pdf, shot-list.pdf, storyboard.pdf', 'folderPaper'],
  ['exposure.pdf, debrief.pdf', 'folderSettings'],
  ['checks.pdf, flights.pdf', 'folderChecks'],
  ['footage.pdf', 'folderFootage'],
  ['*.csv, tables.xlsx', 'folderTables'],
  ['calendar.ics', 'folderCalendar'],
  ['timeline.otio, timeline.edl', 'folderTimeline'],
  ['shot-numbers.srt', 'folderSubtitles'],
  ['paths.geojson, .kml, .kmz, .gpx', 'folderMap'],
  ['take-along.html', 'folderTakeAlong'],
  ['checksums.txt', 'folderSums'],
];

const readMe = ({ say }: Voice): string => {
  const wide = Math.max(...CONTENTS.map(([names]) => names.length)) + 2;
  const lines = CONTENTS.map(([names, what]) => `${names.padEnd(wide)}${say(what)}`);
  return [say('folderIntro'), '', ...lines, ''].join('\r\n');
};

const filmFile = async ({ assets, ...film }: FilmFile): Promise<Uint8Array> => {
  const pieces: Uint8Array[] = [];
  const data = new Map(assets.map((a) => [a.id, a.data]));
  await writeFilmFolder(
    {
      film,
      assets: assets.map(({ id, mime }) => ({ id, mime })),
      bytesOf: async (id) => Buffer.from(data.get(id) ?? '', 'base64'),
    },
    async (piece) => void pieces.push(piece),
  );
  return Buffer.concat(pieces);
};

/**
 * Everything a film hands over as one ZIP: its documents, the film itself, what each is for, and their checksums.
 * @param made documents by name
 * @param atMs when it is made, UTC ms
 */
export const inOneFolder = async (
  made: Readonly<Record<string, Uint8Array>>,
  { voice }: Printed,
  atMs: number,
  file: FilmFile,
): Promise<Uint8Array> => {
  const all: Record<string, Uint8Array> = {
    ...made,
    [FILM]: await filmFile(file),
    'README.txt': strToU8(readMe(voice)),
  };
  const sums = Object.entries(all).map(
    ([name, bytes]) => `${createHash('sha256').update(bytes).digest('hex')}  ${name}`,
  );
  return zipSync({ ...all, 'checksums.txt': strToU8(`${sums.join('\n')}\n`) }, { mtime: atMs });
};
