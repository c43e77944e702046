import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { validation, validationPage } from '../core/test/validation/report.js';

/** `./tasche validate`: holds the core to what is published and remembered, and writes docs/validation.md. */
export function validate(): void {
  const sections = validation();
  writeFileSync(path.resolve('docs/validation.md'), validationPage(sections));
  const rows = sections.flatMap((section) => section.rows);
  console.log(
    `tasche: docs/validation.md, ${rows.filter((row) => row.met).length} of ${rows.length} rows met`,
  );
}
