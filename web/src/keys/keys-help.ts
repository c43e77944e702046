import { defineStore } from 'pinia';
import { ref } from 'vue';

export const useKeysHelp = defineStore('keys-help', () => ({ open: ref(false) }));

/** Every key there is, as the help shows them. */
export const KEYS = [
  {
    group: 'Anywhere',
    keys: [
      ['?', 'these keys'],
      ['Ctrl K', 'go to a player, a view, a club, a course or an event, by name'],
      ['Esc', 'close a window, or a form nothing is written in'],
      ['Alt U', 'yards or metres'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['Ctrl Y', 'redo'],
      ['Alt R', 'roster'],
      ['Alt B', 'bag'],
      ['Alt F', 'flights'],
      ['Alt L', 'locker'],
      ['Alt G', 'range'],
      ['Alt C', 'compare'],
      ['Alt P', 'plan'],
      ['Alt D', 'season'],
      ['Alt Q', 'card, and the caddie’s question'],
      ['Alt J', 'bench'],
    ],
  },
  {
    group: 'In the sheet',
    keys: [
      ['← ↑ → ↓', 'move'],
      ['type', 'write over the cell'],
      ['Enter', 'save and go down'],
      ['Tab', 'save and go right'],
      ['F2', 'change what is there'],
      ['Esc', 'leave it as it was'],
      ['Delete', 'back to "not known"'],
      ['Ctrl V', 'paste rows from a spreadsheet'],
      ['Ctrl C', 'copy the cell; after Ctrl A the whole sheet, for a spreadsheet'],
      ['Alt Enter', 'open the club'],
    ],
  },
  {
    group: 'The bag',
    keys: [
      ['Alt O', 'this club out'],
      ['Alt I', 'put a club in'],
      ['Alt M', 'measure before and after from here'],
      ['Alt T', 'ladder as a table'],
      ['Alt A', 'air and ground (in the plan too)'],
      ['Alt 1 to 5', 'other columns'],
      ['Alt S', 'way of spacing'],
      ['Alt Y', 'try the remedy'],
      ['Enter', 'keep what is tried'],
      ['Esc', 'leave what is tried'],
    ],
  },
  {
    group: 'An event',
    keys: [
      ['Alt N', 'plan an event'],
      ['Alt 1 to 8', 'round'],
      ['Alt T', 'what travels'],
      ['Alt W', 'ask for the forecast; with Shift of every round'],
      ['I, O, F', 'on a club: always in, never, free'],
      ['G', 'on clubs: one of them at most; Enter sets it'],
      ['K', 'no more of its kind than now'],
      ['+ −', 'clubs at most'],
      ['Enter', 'on a club: the need that asks for it'],
      ['↑ ↓', 'from club to club'],
      ['Alt Enter', 'settle the bag of the round'],
    ],
  },
  {
    group: 'Roster and bench',
    keys: [
      ['Alt N', 'in the roster: the next thing to do'],
      ['Enter', 'in a check: save, and on to the next angle'],
      ['Alt M', 'in a check: lay the club in a simulated gauge'],
    ],
  },
  {
    group: 'The range',
    keys: [
      ['Alt K', 'next basket'],
      ['Alt X', 'the next club of the basket in hand'],
      ['Alt N', 'new session'],
      ['Alt E', 'enter shots by hand'],
      ['Alt H', 'hit ten (simulated monitor)'],
      ['Alt A', 'air and ground of the session'],
    ],
  },
] as const satisfies readonly { group: string; keys: readonly (readonly [string, string])[] }[];
