import {
  MAX_FILE_BYTES,
  ballOn,
  guarded,
  headsKey,
  isSamePerson,
  labelKey,
  type ClubMatch,
  type ColumnMapping,
  type KnownMapping,
  type SessionDetails,
  type StrikeFileSpec,
  type StrikeImportReport,
} from '@tasche/contract';
import { MEDIUM_FAIRWAY, type PlayingConditions } from '@tasche/core';
import Papa from 'papaparse';
import { v4 as newId } from 'uuid';
import { computed, reactive, ref, shallowRef } from 'vue';
import { request } from '../api/request';
import { sendFile, type Sending } from '../api/send-file';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import { saveFile } from '../files/save-file';
import { useSheet } from '../sheet/sheet-store';
import { importCount } from './import-count';
import { NO_MAPPING, type OpenMapping } from './open-mapping';
import { lookAtFile, type FileLook } from './read-file';

/** Without one of these nothing can be made of a row. */
const ENOUGH = ['carryM', 'totalM', 'ballSpeedMps', 'clubSpeedMps'];

/** As the last time, and whose the rows are in any case: a file of this source may hold others' for the first time. */
function columnsRead(
  guess: readonly ColumnMapping[],
  known: readonly ColumnMapping[] = guess,
): readonly ColumnMapping[] {
  const player = guess.filter(
    ({ field, column }) =>
      field === 'player' && !known.some((one) => one.field === field || one.column === column),
  );
  return [...known, ...player];
}

/** A launch monitor's file on its way in: looked at, mapped, tried without being kept, taken. */
export function useFileImport(playerId: () => string, baseline: () => PlayingConditions) {
  const store = useSheet();
  const settings = useSettings();
  const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
  const file = shallowRef<File | null>(null);
  const look = shallowRef<FileLook | null>(null);
  const mapping = shallowRef<OpenMapping>(NO_MAPPING);
  const remembered = ref(false);
  const session = reactive<SessionDetails>({
    name: 'Range',
    heldOn: today(),
    conditions: baseline().conditions,
    surface: MEDIUM_FAIRWAY,
    hitOff: 'grass',
    ball: ballOn(store.sheet!.player.balls, today()) ?? '',
    notes: '',
  });
  const clubs = reactive<Record<string, ClubMatch>>({});
  /** Whose rows are imported, as the file has it; undefined where nobody said it. */
  const player = ref<string>();
  /** What would come of it; null where something was said since that may change it. */
  const report = shallowRef<StrikeImportReport | null>(null);
  const done = shallowRef<StrikeImportReport | null>(null);
  const problem = ref('');
  const share = ref(0);
  const sending = shallowRef<Sending<StrikeImportReport> | null>(null);
  const isReady = computed(() => mapping.value.columns.some(({ field }) => ENOUGH.includes(field)));

  async function choose(chosen: File): Promise<void> {
    look.value = null;
    report.value = null;
    done.value = null;
    problem.value = '';
    if (chosen.size > MAX_FILE_BYTES) {
      problem.value = `${chosen.name} is ${(chosen.size / 1e6).toFixed(0)} MB; ${MAX_FILE_BYTES / 1e6} MB is the limit. Split it, or export fewer sessions at once.`;
      return;
    }
    try {
      const seen = await lookAtFile(chosen, unit.value);
      file.value = chosen;
      const known = await request<KnownMapping | null>(
        `/file-mapping?heads=${encodeURIComponent(headsKey(seen.heads))}`,
      ).catch(() => null);
      remembered.value = known !== null;
      const { decimal, dates, unitRows, leftIsPositive } = known?.mapping ?? seen.guess;
      const columns = columnsRead(seen.guess.columns, known?.mapping.columns);
      const clubLines = known?.mapping.clubLines ?? seen.guess.clubLines ?? false;
      mapping.value = { columns: [...columns], decimal, dates, unitRows, leftIsPositive, clubLines };
      player.value = undefined;
      for (const key of Object.keys(clubs)) delete clubs[key];
      // What the clubs of this source were the last time, as far as the locker still has them.
      for (const [label, match] of Object.entries(known?.clubs ?? {}))
        if (match === null || store.clubsById.has(match.clubId)) clubs[label] = match;
      look.value = seen;
      if (isReady.value) await send('none');
    } catch (error) {
      problem.value = `${chosen.name}: ${(error as Error).message}`;
    }
  }

  function map(next: OpenMapping): void {
    mapping.value = next;
    report.value = null;
  }

  function ask(whose: string | undefined): Promise<void> {
    player.value = whose;
    return send('none');
  }

  function order(): StrikeFileSpec {
    const isOfSeveral = mapping.value.columns.some(({ field }) => field === 'player');
    const { encoding, delimiter, heads, skipLines, hasHeads } = look.value!;
    return {
      source: file.value!.name.slice(0, 200),
      encoding,
      delimiter,
      heads,
      skipLines,
      hasHeads,
      mapping: { ...mapping.value, columns: mapping.value.columns.map((one) => ({ ...one })) },
      clubs: { ...clubs },
      ...(isOfSeveral && player.value !== undefined && { player: player.value }),
      session: { ...session, name: session.name.trim() || 'Range' },
      zoneMinutes: -new Date().getTimezoneOffset(),
    };
  }

  async function send(take: 'none' | 'good'): Promise<void> {
    problem.value = '';
    share.value = 0;
    const changeId = newId();
    sending.value = sendFile<StrikeImportReport>(
      `/players/${playerId()}/strikes/import?take=${take}&changeId=${changeId}`,
      new Blob([`${JSON.stringify(order())}\n`, look.value!.file]),
      (now) => {
        share.value = now;
      },
    );
    try {
      const answer = await sending.value.answer;
      if (take === 'none') {
        const own = answer.players.find(({ label }) => isSamePerson(label, store.sheet!.player.name));
        if (own && answer.players.length > 1 && player.value === undefined) {
          sending.value = null;
          await ask(own.label);
          return;
        }
        report.value = answer;
        for (const { label, match } of answer.labels)
          if (!Object.hasOwn(clubs, labelKey(label))) clubs[labelKey(label)] = match;
      } else {
        done.value = answer;
        report.value = null;
        if (answer.changeId) store.done(answer.changeId);
      }
    } catch (error) {
      problem.value = (error as Error).message;
    } finally {
      sending.value = null;
    }
  }

  /** Several players are in the file, and nobody said whose shots are imported. */
  const isPlayerOpen = computed(() => (report.value?.players.length ?? 0) > 1 && player.value === undefined);

  /** Every row left out, as a file to go through. */
  function saveRefusals(): void {
    const refusals = (done.value ?? report.value)?.refusals ?? [];
    const csv = Papa.unparse({
      fields: ['line', 'column', 'found', 'why'],
      data: refusals.map(({ line, column, text, reason }) => [line, guarded(column), guarded(text), reason]),
    });
    saveFile(`left out of ${file.value?.name ?? 'file'}.csv`, csv, 'text/csv');
  }

  const clubOf = (label: string) => clubs[labelKey(label)] ?? null;
  function setMatch(label: string, match: ClubMatch): void {
    clubs[labelKey(label)] = match;
  }
  /** With the clubs as they are said now; null before the file was read. */
  const count = computed(() => report.value && importCount(report.value, clubOf));
  return {
    unit,
    file,
    look,
    mapping,
    map,
    remembered,
    session,
    report,
    player,
    ask,
    isPlayerOpen,
    done,
    problem,
    share,
    sending,
    isReady,
    choose,
    send,
    saveRefusals,
    clubOf,
    setMatch,
    count,
  };
}
