import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import LoadingRows from '../../src/app/LoadingRows.vue';
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
    expect(told.classes()).toContain('small');
    expect(told.find('button').exists()).toBe(true);
  });

  it('is as many rows as there will be while they are read, with a name for a screen reader', () => {
    const view = mount(LoadingRows, { props: { rows: 6, label: 'Working' } });
    expect(view.findAll('.n-skeleton')).toHaveLength(6);
    expect(view.get('[role="status"]').attributes('aria-label')).toBe('Working');
  });
});
