import { enUS } from 'naive-ui';

interface WeekInfo {
  /** 1 is Monday, 7 Sunday. */
  firstDay: number;
}
type WithWeek = Intl.Locale & { getWeekInfo?: () => WeekInfo; weekInfo?: WeekInfo };

/**
 * The day a reader's week begins with: 0 is Monday, 6 Sunday. Monday where the browser does not say (ISO 8601).
 */
export function firstDayOfWeek(language: string): 0 | 1 | 2 | 3 | 4 | 5 | 6 {
  const locale = new Intl.Locale(language) as WithWeek;
  const first = locale.getWeekInfo?.().firstDay ?? locale.weekInfo?.firstDay ?? 1;
  return ((first + 6) % 7) as 0 | 1 | 2 | 3 | 4 | 5 | 6;
}

/** The component library's words, with weeks that begin where the reader's do. */
export function calendarLocale(language: string): typeof enUS {
  return { ...enUS, DatePicker: { ...enUS.DatePicker, firstDayOfWeek: firstDayOfWeek(language) } };
}
