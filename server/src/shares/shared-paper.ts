import type { PaperName, SharedPaper, SheetView } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import { notFound, ruleBroken } from '../http/http-error.js';
import { papersOf, plannedRounds } from '../print/papers-of.js';
import type { Paper } from '../print/print-run.js';
import { readSheet } from '../sheet/read-sheet.js';
import { inWorkspace, type Sight } from '../workspaces/in-workspace.js';
import type { Share } from './share.js';

const PAPER_OF: Readonly<Record<Exclude<SharedPaper, 'build-sheet' | 'calendar'>, PaperName>> = {
  'spec-sheet': 'sheet',
  'swap-sheet': 'swaps',
  card: 'card',
};

/**
 * What a shared paper is made of, and what it is called; as it stands now.
 * @param origin of the page, for what leads back to it
 * @throws HttpError where there is nothing to make it of
 */
export async function sharedPaper(
  orm: MikroORM,
  sight: Sight,
  { playerId, paper, question }: Pick<Share, 'playerId' | 'paper' | 'question'>,
  origin: string,
): Promise<{ papers: Paper[]; name: string }> {
  const sheet = await readSheet(orm, sight, playerId, null);
  const today = new Date().toISOString().slice(0, 10);
  if (paper === 'calendar') return { papers: [], name: sheet.player.name };
  if (paper === 'build-sheet') return buildPaper(sheet, question.clubId, origin, today);
  const isOfPlan = paper !== 'spec-sheet' && question.planId !== undefined;
  const planned = isOfPlan
    ? await inWorkspace(orm, sight, (em) => plannedRounds(em, sheet, today, question.planId))
    : null;
  if (isOfPlan && !planned) throw notFound('plan');
  if (paper === 'swap-sheet' && !planned) throw ruleBroken('A swap sheet is of a plan for an event.');
  const papers = papersOf(PAPER_OF[paper], sheet, planned, today);
  if (papers.length === 0) throw ruleBroken('There is nothing to put on that paper: no bag yet.');
  return { papers, name: planned ? `${sheet.player.name}, ${planned.event.name}` : sheet.player.name };
}

function buildPaper(
  { player, clubs }: SheetView,
  clubId: string | undefined,
  origin: string,
  day: string,
): { papers: Paper[]; name: string } {
  const club = clubs.find(({ id }) => id === clubId);
  if (!club) throw notFound('club');
  const { name, kind, spec } = club;
  const address = `${origin}/players/${player.id}/clubs/${club.id}/build`;
  return {
    papers: [{ paper: 'build', of: { playerName: player.name, club: { name, kind, spec }, address, day } }],
    name: `${player.name}, ${name}`,
  };
}
