import { Migration } from '@mikro-orm/migrations';

/** As those of every other table of a player's. */
const IN_WORKSPACE = `workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid`;
const OF_PLAYERS = `(select coalesce(current_setting('tasche.players', true), '') = '')
  or player_id = any ((select string_to_array(nullif(current_setting('tasche.players', true), ''), ','))::uuid[])`;

/** Rounds played outside any event, and where an event's clocks are. */
export class Migration016RoundsPlayed extends Migration {
  override up(): void {
    this.addSql('alter table event add column zone text');
    this.addSql(`
      create table round_played (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        player_id uuid not null,
        played_on date not null,
        name text not null,
        course_id uuid,
        bag_id uuid,
        after jsonb not null,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id),
        foreign key (workspace_id, player_id) references player (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, course_id) references course (workspace_id, id) deferrable initially deferred,
        foreign key (workspace_id, bag_id) references bag (workspace_id, id) deferrable initially deferred
      )`);
    this.addSql('create index round_played_player on round_played (player_id) where removed_at is null');
    this.addSql('alter table round_played enable row level security');
    this.addSql('alter table round_played force row level security');
    this.addSql(
      `create policy one_workspace on round_played using (${IN_WORKSPACE}) with check (${IN_WORKSPACE})`,
    );
    this.addSql(
      `create policy own_players on round_played as restrictive using (${OF_PLAYERS}) with check (${OF_PLAYERS})`,
    );
  }
  override down(): void {
    this.addSql('drop table round_played');
    this.addSql('alter table event drop column zone');
  }
}
