import {
  readHolesGeoJson,
  readHolesTable,
  writeHolesGeoJson,
  writeHolesTable,
  type CourseView,
  type ReadHoles,
} from '@tasche/contract';
import { courseLengthM, type DistanceUnit } from '@tasche/core';
import { saveFile } from '../files/save-file';
import { textOfFile } from '../files/text-of-file';

/** What a course's holes are to be read from. */
export interface CourseText {
  /** Of the file, or what else to call it. */
  name: string;
  text: string;
}

const MAX_FILE_BYTES = 2_000_000;

/** @throws Error that says what is wrong with a file that cannot be read */
export async function openCourseFile(file: File): Promise<CourseText> {
  if (file.size > MAX_FILE_BYTES)
    throw new Error(`${file.name} is over 2 MB; a course's holes are a few kilobytes.`);
  return { name: file.name, text: await textOfFile(file) };
}

/**
 * The holes in a text, GeoJSON or a scorecard, as they would be taken into the course.
 * @param unit of lengths that name none
 */
export function readCourseText(
  { name, text }: CourseText,
  course: CourseView,
  unit: DistanceUnit,
): ReadHoles {
  const isJson = /json$/i.test(name) || text.trimStart().startsWith('{');
  return isJson ? readHolesGeoJson(text, course) : readHolesTable(text, course, unit);
}

/** More metres a stroke of par than any but the longest courses have: 6,550 over par 72. Our choice. */
const MAX_M_A_STROKE = 91;

/**
 * The unit lengths that name none are probably in, to be asked about: the reader's, unless that makes the course
 * longer than courses are.
 */
export function likelyUnit(from: CourseText, course: CourseView, unit: DistanceUnit): DistanceUnit {
  const file = readCourseText(from, course, 'm');
  const par = file.holes.reduce((sum, hole) => sum + hole.par, 0);
  return unit === 'm' && par > 0 && courseLengthM(file, 0) / par > MAX_M_A_STROKE ? 'yd' : unit;
}

/** Saves a course's holes as a file of the reader's machine. */
export function saveCourseFile(course: CourseView, kind: 'geojson' | 'csv', unit: DistanceUnit): void {
  const name = `${course.name.toLowerCase().replace(/[^a-z0-9]+/g, '-') || 'course'}.${kind}`;
  if (kind === 'geojson') saveFile(name, writeHolesGeoJson(course), 'application/geo+json');
  else saveFile(name, writeHolesTable(course, unit), 'text/csv');
}
