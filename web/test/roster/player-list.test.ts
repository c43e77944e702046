import { parseChangeRequest, severalPlayers, type ChangeRequest } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import ImportPlayers from '../../src/roster/ImportPlayers.vue';
import { clubsOfGamer, newPlayerCommands } from '../../src/roster/new-player';
import { listedPlayers } from '../../src/roster/player-list';
import { freshPinia } from '../pinia';

const OPTIONS = { distanceUnit: 'm', takenOn: '2026-11-28' } as const;
const LIST = [
  'Team 2026,,,',
  'Player,Club,Loft,Carry',
  'Ann Bell,Driver,9,230',
  'Bo Roe,Driver,10,far',
  'ann bell,7i,33,150',
  'Cy Dent,Bertha,,',
  'Dee Far,PW,46,110',
].join('\n');
const read = (known: readonly string[] = []) => listedPlayers(severalPlayers(LIST).players, known, OPTIONS);
const ID = '11111111-1111-4111-8111-111111111111';
const many = Array.from({ length: 16 }, (_one, i) => ({
  name: `${i}`,
  kind: 'iron' as const,
  readings: [],
}));

describe('a list of several players’ clubs', () => {
  it('gives each player once, in its order, with what is read of their clubs and what is not', () => {
    expect(read(['dee far']).map(({ name, clubs, isKnown }) => [name, clubs.length, isKnown])).toEqual([
      ['Ann Bell', 2, false],
      ['Bo Roe', 1, false],
      ['Cy Dent', 0, false],
      ['Dee Far', 1, true],
    ]);
    expect(read(['Fär, Dee', 'Béll Ann']).filter(({ isKnown }) => isKnown)).toMatchObject([
      { name: 'Dee Far' },
    ]);
    expect(read()[1]!.rejected).toMatchObject([{ line: 4, head: 'Carry', text: 'far' }]);
    expect(read()[2]!.rejected).toMatchObject([{ line: 6, asks: 'kind' }]);
  });

  it('becomes new players: a gamer of the clubs that are in it, the first fourteen where not given', () => {
    const [ann] = read();
    const commands = newPlayerCommands({ name: 'Ann Bell', hand: 'left', distanceUnit: 'm' }, ID, ann!.clubs);
    expect(() => parseChangeRequest({ id: ID, commands })).not.toThrow();
    expect(commands.map((command) => command.do)).toEqual(['addPlayer', 'addClub', 'addClub', 'addBag']);
    expect(clubsOfGamer(many).map(({ name }) => name)).toEqual(many.slice(0, 14).map(({ name }) => name));
    const played = {
      ...many[3]!,
      readings: [{ key: 'state' as const, value: 'gamer', takenOn: '2026-11-28' }],
    };
    expect(clubsOfGamer([...many, played])).toEqual([played]);
  });
});

describe('bringing it in', () => {
  let sent: ChangeRequest[];
  let refuses: string | undefined;
  beforeEach(() => {
    freshPinia();
    sent = [];
    refuses = undefined;
    vi.stubGlobal('fetch', (_path: string, init: RequestInit) => {
      const request = JSON.parse(String(init.body)) as ChangeRequest;
      const [first] = request.commands;
      if (first?.do === 'addPlayer' && first.player.name === refuses)
        return Promise.resolve(Response.json({ error: 'bad-input', message: 'Too long.' }, { status: 400 }));
      sent.push(request);
      return Promise.resolve(Response.json({}));
    });
  });
  async function panel(text = LIST) {
    const view = mount(ImportPlayers, {
      props: { known: ['Dee Far'] },
      global: { stubs: { Modal: { template: '<div><slot /></div>' } } },
    });
    view.findComponent({ name: 'FileField' }).vm.$emit('file', new File([text], 'team.csv'));
    await flushPromises();
    const add = async () => {
      await view
        .findAll('button')
        .find((button) => button.text().startsWith('Add'))!
        .trigger('click');
      await flushPromises();
    };
    return { view, add };
  }

  it('adds those who are new, one change each, and leaves those on the roster alone', async () => {
    const { view, add } = await panel();
    expect(view.text()).toContain('is on the roster: import these on their bag’s page');
    expect(view.text()).toContain('no club could be read');
    expect(view.text()).toContain('2 cells cannot be read');
    await add();
    expect(sent.map(({ commands: [first] }) => first)).toMatchObject([
      { do: 'addPlayer', player: { name: 'Ann Bell', hand: 'right', distanceUnit: 'yd' } },
      { do: 'addPlayer', player: { name: 'Bo Roe' } },
    ]);
    expect(view.emitted('close')).toHaveLength(1);
  });

  it('that fails in the middle says how many came in, and does not add them again', async () => {
    refuses = 'Bo Roe';
    const { view, add } = await panel();
    await add();
    expect(view.find('[role="alert"]').text()).toContain('1 of 2 came in, then: Too long.');
    refuses = undefined;
    await add();
    expect(sent).toHaveLength(2);
    expect(view.emitted('close')).toHaveLength(1);
  });

  it('is read from what is pasted as from a file; rows above the first name are left out, and said to be', async () => {
    const { view, add } = await panel('Club,Loft\nDriver,9\n');
    const paste = new Event('paste', { cancelable: true });
    const text = 'Player\tClub\tCarry\n\tPW\t110\nEve Oak\tDriver\t240\n\t7i\t160\n';
    Object.assign(paste, { clipboardData: { getData: () => text } });
    document.dispatchEvent(paste);
    await flushPromises();
    expect(view.find('[role="alert"]').exists()).toBe(false);
    expect(view.text()).toContain('Left out: 1 row above the first player’s name (2).');
    await add();
    expect(sent.map(({ why, commands }) => [why, commands.map((command) => command.do)])).toEqual([
      ['from what was pasted', ['addPlayer', 'addClub', 'addClub', 'addBag']],
    ]);
  });

  it('says why a file is not one', async () => {
    const { view } = await panel('Club,Loft\nDriver,9\n');
    expect(view.find('[role="alert"]').text()).toContain('team.csv: no column says whose club a row is');
  });
});
