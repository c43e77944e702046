/** So few letters are in the name of many a course. */
const MIN_SHARED = 5;

/** The course of that name, or the only one whose name has it in it or stands in it. */
export function courseNamed(place: string, courses: readonly string[]): string | undefined {
  const wanted = place.trim().toLowerCase();
  if (wanted === '') return undefined;
  const same = courses.find((course) => course.toLowerCase() === wanted);
  if (same !== undefined) return same;
  const like = courses.filter((course) => {
    const name = course.toLowerCase();
    const [short, long] = name.length < wanted.length ? [name, wanted] : [wanted, name];
    return short.length >= MIN_SHARED && long.includes(short);
  });
  return like.length === 1 ? like[0] : undefined;
}
