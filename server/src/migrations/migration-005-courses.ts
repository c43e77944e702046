import { Migration } from '@mikro-orm/migrations';

const TABLES = ['course', 'season', 'event'];

/** Eighteen usual holes belong to no course: a place that becomes a course has none until they are recorded. */
const COURSES_FROM_PLACES = `
  insert into course (id, workspace_id, name, altitude_m, latitude_deg, longitude_deg, grass, sand, tees, holes, seasons, notes, version)
  select gen_random_uuid(), workspace_id, course, max((conditions->>'altitudeM')::double precision), null, null, min(surface->>'grass'), 'medium', '["Back"]', '[]',
    jsonb_agg(jsonb_build_object(
      'name', season, 'fromMonth', case season when 'spring' then 3 when 'summer' then 6 when 'autumn' then 9 else 12 end,
      'air', jsonb_build_object('temperatureC', conditions->'temperatureC', 'humidityPct', conditions->'humidityPct', 'windMps', conditions->'windMps',
        'windFromDeg', (((conditions->>'windFromDeg')::numeric % 360) + 360) % 360),
      'ground', jsonb_build_object('grass', surface->'grass', 'fairways', surface->'firmness', 'greens', surface->'firmness', 'rough', 'medium', 'wet', false, 'sand', 'medium', 'greenSpeedM', 3)) order by place),
    '', 1
  from place group by workspace_id, course`;

/** Courses with holes and seasons in the place of places; events with rounds; a plan may be for an event. */
export class Migration005Courses extends Migration {
  override up(): void {
    this.addSql(`
      create table course (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        name text not null,
        altitude_m double precision not null,
        latitude_deg double precision,
        longitude_deg double precision,
        grass text not null,
        sand text not null,
        tees jsonb not null,
        holes jsonb not null,
        seasons jsonb not null,
        notes text not null,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id)
      )`);
    this.addSql(`
      create table season (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        name text not null,
        from_month integer not null check (from_month between 1 and 12),
        temperature_c double precision not null,
        humidity_pct double precision not null,
        wind_mps double precision not null,
        ground jsonb not null,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id)
      )`);
    this.addSql(`
      create table event (
        id uuid primary key,
        workspace_id uuid not null references workspace (id),
        name text not null,
        rounds jsonb not null,
        limits jsonb not null,
        notes text not null,
        version integer not null,
        removed_at timestamptz,
        unique (workspace_id, id)
      )`);
    for (const table of TABLES) this.addSql(`create index ${table}_workspace on ${table} (workspace_id)`);
    this.addSql('alter table place no force row level security');
    this.addSql(COURSES_FROM_PLACES);
    this.addSql('drop table place');
    this.addSql('alter table plan add column event_id uuid');
    this.addSql("alter table plan add column rounds jsonb not null default '[]'");
    this.addSql(
      'alter table plan add foreign key (workspace_id, event_id) references event (workspace_id, id) deferrable initially deferred',
    );
    for (const table of TABLES) {
      this.addSql(`alter table "${table}" enable row level security`);
      this.addSql(`alter table "${table}" force row level security`);
      this.addSql(`
        create policy one_workspace on "${table}"
        using (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)
        with check (workspace_id = nullif(current_setting('tasche.workspace', true), '')::uuid)`);
    }
  }
}
