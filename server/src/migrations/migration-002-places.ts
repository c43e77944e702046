import { Migration } from '@mikro-orm/migrations';

/** Places whose air and ground a ladder may be read in: a course in a season. */
export class Migration002Places extends Migration {
  override up(): void {
    this.addSql(`
      create table place (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        course text not null,
        season text not null,
        conditions jsonb not null,
        surface jsonb not null,
        place integer not null,
        unique (workspace_id, course, season)
      )`);
    this.addSql('alter table place enable row level security');
    this.addSql('alter table place force row level security');
    this.addSql(`
      create policy one_workspace on place
      using (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)
      with check (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)`);
  }
}
