import { contains, isSameName } from '@tasche/contract';

/** So few letters are in the name of many a course. */
const MIN_SHARED = 5;

/** The course of that name, or the only one whose name has it in it or stands in it. */
export function courseNamed(place: string, courses: readonly string[]): string | undefined {
  const wanted = place.trim();
  if (wanted === '') return undefined;
  const same = courses.find((course) => isSameName(course, wanted));
  if (same !== undefined) return same;
  const like = courses.filter((course) => {
    const [short, long] = course.length < wanted.length ? [course, wanted] : [wanted, course];
    return short.length >= MIN_SHARED && contains(short)(long);
  });
  return like.length === 1 ? like[0] : undefined;
}
