import { Migration } from '@mikro-orm/migrations';

const TABLES = ['ticket', 'wish'];

/** Tickets for the bench, and what a player wishes for; the balls a player has played. */
export class Migration012Bench extends Migration {
  override up(): void {
    this.addSql(`
      create table ticket (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        player_id uuid not null,
        club_id uuid not null,
        name text not null,
        job text not null,
        wanted jsonb not null,
        why text not null,
        event_id uuid,
        due_on date,
        state text not null,
        became jsonb not null,
        misses jsonb not null,
        done_on date,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, club_id) references club (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, event_id) references event (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql(`
      create table wish (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        player_id uuid not null,
        name text not null,
        purpose text not null,
        state text not null,
        price double precision,
        club jsonb,
        club_id uuid,
        notes text not null,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, club_id) references club (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index ticket_player on ticket (player_id) where removed_at is null');
    this.addSql(
      "create index ticket_queue on ticket (workspace_id, due_on, id) where removed_at is null and state in ('asked', 'on the bench')",
    );
    this.addSql('create index wish_player on wish (player_id) where removed_at is null');
    this.addSql("alter table player add column balls jsonb not null default '[]'");
    for (const table of TABLES) {
      this.addSql(`alter table "${table}" enable row level security`);
      this.addSql(`alter table "${table}" force row level security`);
      this.addSql(`
        create policy one_workspace on "${table}"
        using (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)
        with check (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)`);
    }
  }
  override down(): void {
    for (const table of TABLES) this.addSql(`drop table "${table}"`);
    this.addSql('alter table player drop column balls');
  }
}
