import { Migration } from '@mikro-orm/migrations';

/** A column that came into the first migration after folders had been made by it: those of 24 November 2026 have none. */
export class Migration015EarliestFolders extends Migration {
  override up(): void {
    this.addSql('alter table player add column if not exists baseline jsonb');
  }
}
