import { Migration } from '@mikro-orm/migrations';

/**
 * Links that take a player to another workspace. And a column that came into the first migration after
 * folders had been made by it: those of
 * 24 November 2026 have none.
 */
export class Migration015HandOver extends Migration {
  override up(): void {
    this.addSql('alter table player add column if not exists baseline jsonb');
    this.addSql('alter table one_time_link drop constraint one_time_link_purpose_check');
    this.addSql(
      `alter table one_time_link add constraint one_time_link_purpose_check check (purpose in ('first', 'invitation', 'reset', 'copy', 'move'))`,
    );
  }
  override down(): void {
    this.addSql(`delete from one_time_link where purpose in ('copy', 'move')`);
    this.addSql('alter table one_time_link drop constraint one_time_link_purpose_check');
    this.addSql(
      `alter table one_time_link add constraint one_time_link_purpose_check check (purpose in ('first', 'invitation', 'reset'))`,
    );
  }
}
