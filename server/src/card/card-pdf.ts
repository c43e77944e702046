import type { CardPage } from '@tasche/contract';
import {
  cutName,
  distanceCard,
  distanceNumber,
  formatDistance,
  lockerFindingSentence,
  signedDistance,
  SHOT_KINDS,
  type CardClub,
  type CardHelpers,
  type DistanceUnit,
  type UsualShotKind,
  ownShotLines,
  slowSwingWords,
} from '@tasche/core';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, QUIET, pdfOf } from '../pdf/pdf-maker.js';

/** Points: 108 by 178 mm, which slips into a yardage book, and a phone's screen. */
export const CARD_SIZES = {
  book: { width: 306, height: 505 },
  phone: { width: 390, height: 844 },
} as const;
export type CardSize = keyof typeof CARD_SIZES;

export interface PrintedCard {
  playerName: string;
  pages: readonly CardPage[];
  size: CardSize;
  unit: DistanceUnit;
}

/** A longer name would lie on the numbers. */
const MAX_NAME_LETTERS = 15;

const HEADS: Record<UsualShotKind, string> = {
  full: 'Stock',
  hard: 'Hard',
  soft: 'Soft',
  choked: 'Chok.',
  'three-quarter': '¾',
  half: 'Half',
};
const HELPERS: readonly (readonly [keyof CardHelpers, string])[] = [
  ['into', 'Into'],
  ['behind', 'Behind'],
  ['across', 'Across'],
  ['higher', 'Up'],
  ['lower', 'Down'],
  ['colder', 'Colder'],
  ['warmer', 'Warmer'],
];

/**
 * The cards of a player's rounds, a page each: carries above, helpers below. Takes a moment, so it is run in
 * a thread.
 */
export default async function cardPdf({ playerName, pages, size, unit }: PrintedCard): Promise<Buffer> {
  const isBook = size === 'book';
  const document: TDocumentDefinitions = {
    pageSize: CARD_SIZES[size],
    pageMargins: isBook ? [14, 12, 14, 12] : [20, 26, 20, 20],
    info: { title: `${playerName}: card`, creator: 'Tasche' },
    defaultStyle: { font: 'Roboto', fontSize: isBook ? 8.5 : 12, color: INK },
    content: pages.map((page, i) => onePage(page, { playerName, unit, isBook, breaks: i > 0 })),
  };
  return pdfOf(document);
}

function onePage(
  page: CardPage,
  {
    playerName,
    unit,
    isBook,
    breaks,
  }: { playerName: string; unit: DistanceUnit; isBook: boolean; breaks: boolean },
): Content {
  const card = distanceCard(page.request);
  const kinds = SHOT_KINDS.filter(
    (kind) => kind === 'full' || card.clubs.some(({ shots }) => shots.some((shot) => shot.kind === kind)),
  );
  const own = ownShotLines(card, unit);
  const slow = slowSwingWords(card.clubs, 'left out');
  const isHome = page.roundIds.length === 0;
  const small = isBook ? 6.5 : 9;
  const head = (text: string): TableCell => ({ text, color: QUIET, fontSize: small, alignment: 'right' });
  const right = (text: string, more: object = {}): TableCell => ({ text, alignment: 'right', ...more });
  const name = ({ name: text }: CardClub): TableCell => ({
    text: cutName(text, MAX_NAME_LETTERS),
    bold: true,
    noWrap: true,
  });
  const shotCell = (club: CardClub, kind: UsualShotKind): TableCell => {
    const shot = club.shots.find((one) => one.kind === kind);
    return shot
      ? right(distanceNumber(shot.carryM, unit), {
          bold: kind === 'full',
          ...(shot.source === 'modelled' && { italics: true, color: QUIET }),
        })
      : right('');
  };
  const names = new Map(card.clubs.map((club) => [club.id, club.name]));
  const widest = card.uncovered[0];
  const { steps, day } = page.request;
  const windWords = unit === 'yd' ? `${Math.round(steps.windMps / 0.44704)} mph` : `${steps.windMps} m/s`;
  const warmthWords = unit === 'yd' ? '20 °F' : `${steps.temperatureC} °C`;
  const temperature =
    unit === 'yd'
      ? `${Math.round(day.still.temperatureC * 1.8 + 32)} °F`
      : `${Math.round(day.still.temperatureC)} °C`;
  const table = (body: TableCell[][]): Content => ({
    table: {
      headerRows: 1,
      widths: body[0]!.map((_cell, i) => (i === 0 ? (isBook ? 72 : 96) : '*')),
      body,
    },
    layout: {
      hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
      vLineWidth: () => 0,
      hLineColor: () => '#d8cfbc',
      paddingTop: () => (isBook ? 1.4 : 2.4),
      paddingBottom: () => (isBook ? 1.4 : 2.4),
      paddingLeft: () => 2,
      paddingRight: () => 2,
    },
  });
  return {
    ...(breaks && { pageBreak: 'before' as const }),
    stack: [
      { text: [{ text: playerName, bold: true }, `  ${page.name}`], fontSize: isBook ? 11 : 17 },
      {
        text: [
          page.day,
          page.courseName,
          `${temperature}, ${day.ground.greens} greens`,
          page.isSettled ? page.bagName : 'no bag settled: the gamer',
        ]
          .filter(Boolean)
          .join(' · '),
        color: QUIET,
        fontSize: small,
        margin: [0, 0, 0, 4],
      },
      table([
        [
          { text: '', fontSize: small },
          ...kinds.map((kind) => head(HEADS[kind])),
          ...(isHome ? [] : [head('Home')]),
          head('Flag'),
        ],
        ...card.clubs.map((club) => {
          const full = club.shots.find(({ kind }) => kind === 'full');
          return [
            name(club),
            ...kinds.map((kind) => shotCell(club, kind)),
            ...(isHome ? [] : [right(full ? distanceNumber(full.homeM, unit) : '', { color: QUIET })]),
            right(club.perfectM === undefined ? '' : distanceNumber(club.perfectM, unit)),
          ];
        }),
      ]),
      ...(own.length > 0
        ? [{ text: `Own shots. ${own.join('; ')}.`, fontSize: small, margin: [0, 3, 0, 0] } satisfies Content]
        : []),
      {
        text: `Helpers on the stock shot: ${windWords}, ${formatDistance(steps.elevationChangeM, unit)} up or down, ${warmthWords}`,
        color: QUIET,
        fontSize: small,
        margin: [0, 6, 0, 1],
      },
      table([
        [{ text: '', fontSize: small }, ...HELPERS.map(([, words]) => head(words))],
        ...card.clubs.map((club) => [
          name(club),
          ...HELPERS.map(([key]) => {
            const value = club.helpers[key];
            return right(
              value === undefined
                ? ''
                : key === 'across'
                  ? distanceNumber(Math.abs(value), unit)
                  : signedDistance(value, unit),
            );
          }),
        ]),
      ]),
      {
        text: [
          ...card.mixedUp.map(
            (clubIds) => `${lockerFindingSentence({ code: 'mixed up', clubIds }, (id) => names.get(id)!)} `,
          ),
          ...(widest
            ? [
                `No club covers the ${formatDistance(widest.widestGapM, unit)} between ${names.get(widest.upperId)} and ${names.get(widest.lowerId)}. `,
              ]
            : []),
          ...(slow ? [`${slow} `] : []),
          `Carries in ${unit === 'yd' ? 'yards' : 'metres'}, in this air without its wind; in italics where modelled. Flag: where a normal swing stops.`,
        ],
        color: QUIET,
        fontSize: small,
        margin: [0, 5, 0, 0],
      },
    ],
  };
}
