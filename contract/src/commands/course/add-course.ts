import { courseDetails } from '../../course-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, everyField } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addCourse = defineCommand(
  'addCourse',
  'schedule',
  shape({ course: required(shape({ id: required(idSchema), ...everyField(courseDetails) })) }),
  {
    subject: ({ course }) => ({ kind: 'course', id: course.id }),
    words: ({ course }) => `new course ${course.name}`,
    apply: (schedule, { course }) => ({
      ...schedule,
      courses: withRow(schedule.courses, { ...course, version: 1, removed: false }),
    }),
  },
);
