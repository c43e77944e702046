import type { NewsView } from '@tasche/contract';
import { useDocumentVisibility, useThrottleFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { onScopeDispose, ref, watch } from 'vue';
import { readShownAgain } from '../api/read';
import { leavePlace } from '../api/leave-place';
import { readSignedInAgain } from '../api/request';
import { signedOut } from '../api/signed-in';
import { idOfOutgoing, useOutbox } from '../changes/outbox';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';

/** How long a notice about someone else's change stays. */
export const SHOWN_MS = 7000;
/** A stream that was ended is opened again after so long. */
const AGAIN_MS = 3000;
/** However many changes come at once, lists are read again so often at most. */
const READ_EVERY_MS = 1000;
/** Ids of what this browser sent lately: they are not news here. */
const KEPT_IDS = 200;

/**
 * What others change, as it happens: the page shows it, and who it was. A page that nobody sees does not listen:
 * browsers open six connections to a server, and with six tabs listening nothing else would come through.
 */
export const useNews = defineStore('news', () => {
  const outbox = useOutbox();
  const sheet = useSheet();
  const schedule = useSchedule();
  const shown = ref<{ who: string; summary: string } | null>(null);
  /** Whether anything was shown since the page opened. */
  const isAny = ref(false);
  let isEnded = false;
  onScopeDispose(() => {
    isEnded = true;
  });
  const readLists = useThrottleFn(
    () => {
      if (!isEnded) readShownAgain();
    },
    READ_EVERY_MS,
    true,
  );
  const own: string[] = [];
  let source: EventSource | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let wasOpen = false;
  let waits = false;
  let isWanted = false;
  /** What was changed after this may not have been heard here; by the clock. */
  let unheardSince = performance.timeOrigin;
  const visibility = useDocumentVisibility();

  outbox.onSent((sent) => {
    if ('result' in sent) {
      own.push(sent.result.change.id);
      own.splice(0, own.length - KEPT_IDS);
    }
    return undefined;
  });
  signedOut.on(close);
  watch(visibility, (now) => {
    if (!isWanted) return;
    if (now === 'hidden') stopListening();
    else void listenAgain();
  });

  function isOwn(changeId: string): boolean {
    return own.includes(changeId) || outbox.waiting.some((one) => idOfOutgoing(one) === changeId);
  }

  function take(news: NewsView): void {
    if (isOwn(news.changeId)) return;
    void readLists();
    const { playerId } = sheet;
    const isHere = playerId !== undefined && (news.many || news.playerIds.includes(playerId));
    if (isHere) readSheet();
    if (news.schedule && schedule.state !== 'empty') void schedule.load(true);
    if ((isHere || news.schedule) && news.summary !== '') show(news);
  }

  /**
   * While something is being typed the sheet under it stands still, so that it is sent as typed over what was
   * seen: where somebody else wrote in the same place, both are shown.
   */
  function readSheet(): void {
    if (isBeingTyped()) {
      if (!waits) {
        waits = true;
        document.addEventListener('focusout', () => setTimeout(readWhenTyped), { once: true });
      }
      return;
    }
    void sheet.renew();
  }

  function readWhenTyped(): void {
    waits = false;
    readSheet();
  }

  function show({ who, summary }: NewsView): void {
    shown.value = { who, summary };
    isAny.value = true;
    clearTimeout(timer);
    timer = setTimeout(() => {
      shown.value = null;
    }, SHOWN_MS);
  }

  /** Some may have been missed. */
  function readAll(): void {
    void readLists();
    readSheet();
    if (schedule.state !== 'empty') void schedule.load(true);
  }

  function open(): void {
    isWanted = true;
    listen();
  }

  function listen(): void {
    if (source || !isWanted || visibility.value === 'hidden' || typeof EventSource === 'undefined') return;
    const readForMs = Math.max(0, Math.round(Date.now() - unheardSince));
    const opened = (source = new EventSource(`/api/news?readForMs=${readForMs}`));
    opened.addEventListener('here', () => {
      if (wasOpen) readAll();
      wasOpen = true;
    });
    opened.addEventListener('missed', readAll);
    opened.addEventListener('change', ({ data }: MessageEvent<string>) => {
      take(JSON.parse(data) as NewsView);
    });
    // The session went to another workspace, in another tab or because this one is closed to its person.
    opened.addEventListener('moved', () => {
      void leavePlace({ to: '/roster', isOtherPerson: false });
    });
    opened.addEventListener('signed-out', () => void signedOut.trigger());
    opened.addEventListener('error', () => {
      if (opened.readyState !== EventSource.CLOSED || source !== opened) return;
      source = undefined;
      setTimeout(listen, AGAIN_MS);
    });
  }

  /** Meanwhile another tab may have signed out, or gone to another workspace. */
  async function listenAgain(): Promise<void> {
    await readSignedInAgain().catch(() => undefined);
    listen();
  }

  function stopListening(): void {
    if (!source) return;
    // Of a line that was broken it is not known what went by: all is read when it is back.
    if (source.readyState === EventSource.OPEN) {
      unheardSince = Date.now();
      wasOpen = false;
    }
    source.close();
    source = undefined;
  }

  function close(): void {
    stopListening();
    isWanted = false;
  }

  return { shown, isAny, open, close };
});

/** Whether a field holds what was typed and not yet said. */
function isBeingTyped(): boolean {
  const field = document.activeElement;
  return (
    field !== null &&
    field.matches('input:not([type=checkbox], [type=radio], [readonly]), textarea:not([readonly])') &&
    !field.hasAttribute('data-untouched')
  );
}
