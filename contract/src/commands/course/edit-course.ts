import { courseDetails } from '../../course-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import type { CourseView } from '../../views.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editCourse = defineCommand(
  'editCourse',
  'schedule',
  shape({
    courseId: required(idSchema),
    version: versionSchema,
    set: required(shape(courseDetails)),
  }),
  {
    subject: ({ courseId }) => ({ kind: 'course', id: courseId }),
    words: ({ set }) => setWords('the course', set),
    apply: (schedule, { courseId, set }) => ({
      ...schedule,
      courses: mapRow(schedule.courses, courseId, (course): CourseView => ({ ...course, ...set })),
    }),
  },
);
