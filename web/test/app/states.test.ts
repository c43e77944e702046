import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import LoadingRows from '../../src/app/LoadingRows.vue';
import NoticeBar from '../../src/app/NoticeBar.vue';
import NotThere from '../../src/app/NotThere.vue';
import ProblemLine from '../../src/app/ProblemLine.vue';

describe('what every page says the same way', () => {
  it('is nothing while nothing went wrong, and then a sentence that is read out, with what can be done', () => {
    const view = mount(ProblemLine, {
      props: { text: '' },
      slots: { default: '<button>Try again</button>' },
    });
    expect(view.find('[role="alert"]').exists()).toBe(false);
    expect(view.find('button').exists()).toBe(false);
    const told = mount(ProblemLine, {
      props: { text: 'The server cannot be reached.', small: true },
      slots: { default: '<button>Try again</button>' },
    });
    expect(told.get('[role="alert"]').text()).toBe('■ The server cannot be reached.Try again');
    expect(told.get('.n-alert').classes()).toContain('small');
    expect(told.find('button').exists()).toBe(true);
  });

  it('is as many rows as there will be while they are read, with a name for a screen reader', () => {
    const view = mount(LoadingRows, { props: { rows: 6, label: 'Working' } });
    expect(view.findAll('.n-skeleton')).toHaveLength(6);
    expect(view.get('[role="status"]').attributes('aria-label')).toBe('Working');
  });

  it('says across the page what is true, at once only where it must be', () => {
    const slots = { default: 'Somebody else changed this.', actions: '<button>Keep theirs</button>' };
    const bar = (props: { kind: 'warning' | 'error'; isUrgent?: boolean }) =>
      mount(NoticeBar, { props, slots, global: { stubs: { transition: false } } });
    expect(bar({ kind: 'warning' }).attributes('role')).toBe('status');
    const urgent = bar({ kind: 'error', isUrgent: true });
    expect(urgent.attributes('role')).toBe('alert');
    expect(urgent.text()).toBe('Somebody else changed this.Keep theirs');
    expect(urgent.classes()).toEqual(expect.arrayContaining(['n-alert', 'error', 'no-print']));
  });

  it('says in place of what is not there what it is, whether it comes by itself, and where to go on', () => {
    const page = mount(NotThere, {
      props: { title: 'No such player', isPage: true },
      slots: { default: 'Roster' },
    });
    expect(page.get('h1').text()).toBe('No such player');
    expect(page.find('[role="status"]').exists()).toBe(false);
    expect(page.text()).toContain('Roster');
    const part = mount(NotThere, { props: { title: 'Away', says: 'The disk is full.', opensItself: true } });
    expect(part.get('h2').text()).toBe('Away');
    expect(part.get('[role="status"]').text()).toBe(
      'The disk is full. This page opens by itself as soon as the server answers.',
    );
  });
});
