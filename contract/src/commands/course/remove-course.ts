import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeCourse = defineCommand(
  'removeCourse',
  'schedule',
  shape({ courseId: required(idSchema), version: versionSchema }),
  {
    subject: ({ courseId }) => ({ kind: 'course', id: courseId }),
    words: () => 'delete the course',
    apply: (schedule, { courseId }) => ({
      ...schedule,
      courses: withoutRow(schedule.courses, courseId),
    }),
  },
);
