import type { ClubView, PlayerView } from '@tasche/contract';
import { showQuantity } from '@tasche/contract';
import {
  bagEvennessWords,
  bagOrder,
  counted,
  gappingStrategyOf,
  COMMITTEE_DECIDES,
  bagFindingSentence,
  bagFindings,
  distanceNumber,
  formatDegrees,
  gaps,
  bagHeadline,
  ladderClub,
  placedClubs,
  playingLoft,
  quantityOf,
  shotIn,
  factSourceWords,
  type DistanceUnit,
  type GapReport,
  type QuantityKey,
  type StepReport,
  type GappingStrategyId,
} from '@tasche/core';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, QUIET, pdfOf } from '../pdf/pdf-maker.js';

const COLOURS = { fine: '#1d5a63', unknown: QUIET, warning: '#8a5f0a', error: '#a03325' } as const;
/** As on the screen, as far as the font of papers has them: it has no filled diamond. */
const MARKS = { fine: '', unknown: '? ', warning: '◊ ', error: '■ ' } as const;

const SPEC_COLUMNS: readonly QuantityKey[] = [
  'lieDeg',
  'lengthIn',
  'swingWeight',
  'bounceDeg',
  'grind',
  'grip',
];

export interface SpecSheet {
  player: PlayerView;
  clubs: readonly ClubView[];
  bagName: string;
  /** How the bag is to be spaced. */
  strategy: GappingStrategyId;
  unit: DistanceUnit;
  day: string;
  /** With serial numbers, stepping and wraps, for the builder. */
  builder?: boolean;
}

/**
 * One page to pin on the van's wall: the bag with its lofts, builds, carries and steps.
 * Takes two seconds for 200 clubs, so it is run in a thread.
 * @param day the specs' day, YYYY-MM-DD, printed in the head
 */
export default async function specSheetPdf({
  player,
  clubs,
  bagName,
  strategy,
  unit,
  day,
  builder = false,
}: SpecSheet): Promise<Buffer> {
  const ladderClubs = placedClubs(clubs.map(ladderClub), player.baseline ?? undefined);
  const report = gaps(ladderClubs, { school: strategy, settings: player.gapSettings });
  const headline = bagHeadline(report, unit);
  const findings = bagFindings(ladderClubs, player.gapSettings);
  const nameOf = (id: string) => clubs.find((club) => club.id === id)?.name ?? '';
  const evenness = bagEvennessWords(report, unit);
  const byId = new Map(clubs.map((club) => [club.id, club]));
  const sorted = bagOrder(ladderClubs).map(({ id }) => byId.get(id)!);
  const document: TDocumentDefinitions = {
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: [32, 28, 32, 36],
    info: { title: `${player.name}: ${bagName}`, creator: 'Tasche' },
    defaultStyle: { font: 'Roboto', fontSize: clubs.length > 16 ? 7.5 : 9, color: INK },
    content: [
      {
        columns: [
          { text: [{ text: player.name, bold: true }, `   ${bagName}`], fontSize: 18 },
          {
            text: `${counted(clubs.length, 'club')} · as of ${day} · carries in ${unit === 'yd' ? 'yards' : 'metres'} · ${player.hand}-handed`,
            alignment: 'right',
            color: QUIET,
            margin: [0, 7, 0, 0],
          },
        ],
        margin: [0, 0, 0, 10],
      },
      sheetTable(sorted, report, unit, builder),
      {
        text: [{ text: `${headline.title} `, bold: true, color: COLOURS[headline.severity] }, headline.text],
        margin: [0, 10, 0, 2],
      },
      ...(evenness ? [{ text: `${gappingStrategyOf(report.school).name}: ${evenness}.`, color: QUIET }] : []),
      ...findings.map((finding): Content => ({
        text: `${bagFindingSentence(finding, nameOf)}${finding.rule ? ` (${finding.rule})` : ''}`,
        color: COLOURS.warning,
      })),
    ],
    footer: {
      text: `Stamped lofts in brackets where the club is not at its stamp. ${COMMITTEE_DECIDES}`,
      margin: [32, 8, 32, 0],
      fontSize: 7,
      color: QUIET,
    },
  };
  return pdfOf(document);
}

/** @param clubs in the order they are listed in */
function sheetTable(
  clubs: readonly ClubView[],
  report: GapReport,
  unit: DistanceUnit,
  builder: boolean,
): Content {
  const heads = [
    'Club',
    'Loft',
    'Lie',
    'Length',
    'SW',
    'Bounce',
    'Grind',
    'Grip',
    'Head',
    'Shaft',
    `Carry ${unit}`,
    'Source',
    'Step to next',
    '',
  ];
  return {
    table: {
      headerRows: 1,
      widths: [
        'auto',
        'auto',
        'auto',
        'auto',
        'auto',
        'auto',
        'auto',
        'auto',
        '*',
        '*',
        'auto',
        'auto',
        78,
        'auto',
      ],
      body: [
        heads.map((text): TableCell => ({ text, color: QUIET, fontSize: 7.5 })),
        ...clubs.map((club) =>
          clubRow(
            club,
            report.steps.find((step) => step.upperId === club.id),
            unit,
            builder,
          ),
        ),
      ],
    },
    layout: {
      hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
      vLineWidth: () => 0,
      hLineColor: () => '#d8cfbc',
      paddingTop: () => 3.2,
      paddingBottom: () => 3.2,
      paddingLeft: () => 3,
      paddingRight: () => 5,
    },
  };
}

function clubRow(
  club: ClubView,
  step: StepReport | undefined,
  unit: DistanceUnit,
  builder: boolean,
): TableCell[] {
  const show = (key: QuantityKey) => {
    const value = club.spec[key]?.value;
    return value === undefined ? '' : showQuantity(quantityOf(key)!, value);
  };
  const loft = playingLoft(club.spec);
  const moved = loft?.stampedDeg !== undefined && Math.abs(loft.stampedDeg - loft.deg) > 0.01;
  const full = shotIn(club.spec, 'shot.full');
  const shaft = [show('shaft'), show('flex'), show('shaftWeightG')].filter(Boolean).join(' ');
  const more = (key: QuantityKey, words: (shown: string) => string) =>
    builder && club.spec[key] !== undefined ? `, ${words(show(key))}` : '';
  const built: Partial<Record<QuantityKey, string>> = {
    grip: `${show('grip')}${more('gripWraps', (wraps) => `${wraps} ${Number(wraps) === 1 ? 'wrap' : 'wraps'}`)}`,
  };
  return [
    { text: club.name, bold: true, noWrap: true },
    {
      text: loft ? `${formatDegrees(loft.deg)}${moved ? ` (${formatDegrees(loft.stampedDeg!)})` : ''}` : '',
      noWrap: true,
    },
    ...SPEC_COLUMNS.map((key): TableCell => ({ text: built[key] ?? show(key), noWrap: key !== 'grip' })),
    `${show('head')}${more('serial', (serial) => `no. ${serial}`)}`,
    `${shaft}${more('stepping', (stepping) => stepping)}${more('tipTrimIn', (tip) => `tipped ${tip}`)}`,
    { text: full ? distanceNumber(full.carryM, unit) : '', bold: true, alignment: 'right' },
    { text: factSourceWords(club.spec, 'shot.full', unit), color: QUIET, noWrap: true },
    step ? stepBar(step, unit) : '',
    step ? { text: `${MARKS[step.severity]}${step.word}`, color: COLOURS[step.severity], noWrap: true } : '',
  ];
}

const BAR_METRES = 30;
const BAR_POINTS = 44;

function stepBar(step: StepReport, unit: DistanceUnit): TableCell {
  const width = Math.max(1, Math.min(BAR_POINTS, (step.carryM / BAR_METRES) * BAR_POINTS));
  return {
    columns: [
      {
        canvas: [{ type: 'rect', x: 0, y: 2, w: width, h: 6, color: COLOURS[step.severity] }],
        width: BAR_POINTS + 4,
      },
      { text: distanceNumber(step.carryM, unit), width: 'auto' },
    ],
  };
}
