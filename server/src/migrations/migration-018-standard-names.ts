import { Migration } from '@mikro-orm/migrations';

/**
 * Fields of kept documents by the names the field has for them; `contract/src/renamed-fields.ts` reads the
 * old ones.
 */
const RENAMED = {
  landDeg: 'descentDeg',
  sideM: 'offlineM',
  riseM: 'elevationChangeM',
  trouble: 'hazards',
  eitherOrLandDeg: 'eitherOrDescentDeg',
} as const;
const COLUMNS = { land_deg: 'descent_deg', side_m: 'offline_m' } as const;
/** How many shots a carry is the mean of: of a shot alone, elsewhere `shots` are something else. */
const SAMPLE = { up: ['shots', 'sampleSize'], down: ['sampleSize', 'shots'] } as const;

export class Migration018StandardNames extends Migration {
  override up(): void {
    this.addSql('alter table workspace rename column circuit_revision to schedule_revision');
    // Its successor is made when the tables are brought up to date.
    this.addSql('drop function if exists circuit_revision(uuid, text)');
    this.rename('up', RENAMED, COLUMNS);
  }
  override down(): void {
    this.addSql('alter table workspace rename column schedule_revision to circuit_revision');
    this.addSql('drop function if exists schedule_revision(uuid, text)');
    this.rename('down', turned(RENAMED), turned(COLUMNS));
  }

  private rename(
    way: keyof typeof SAMPLE,
    fields: Record<string, string>,
    columns: Record<string, string>,
  ): void {
    const [from, to] = SAMPLE[way];
    for (const [old, fresh] of Object.entries(columns))
      this.addSql(`alter table strike rename column ${old} to ${fresh}`);
    this.addSql(`
      create function pg_temp.renamed(document jsonb, fields jsonb) returns jsonb language plpgsql immutable as $$
      begin
        if jsonb_typeof(document) = 'array' then
          return (select coalesce(jsonb_agg(pg_temp.renamed(one, fields) order by place), '[]')
                  from jsonb_array_elements(document) with ordinality as list (one, place));
        elsif jsonb_typeof(document) = 'object' then
          return (select coalesce(jsonb_object_agg(
              case when key = '${from}' and jsonb_typeof(value) = 'number' and jsonb_exists(document, 'carryM') and jsonb_exists(document, 'source') then '${to}'
                else coalesce(fields ->> key, key) end,
              case when key = 'field' and jsonb_typeof(value) = 'string' then coalesce(fields -> (value #>> '{}'), value)
                else pg_temp.renamed(value, fields) end), '{}')
            from jsonb_each(document));
        end if;
        return document;
      end $$`);
    // The owner of the tables writes in every workspace, which no one else does.
    const words = [...Object.keys(fields), from].join('|');
    this.addSql(`
      do $$
      declare one record;
      begin
        for one in select table_name as name, bool_or(relforcerowsecurity) as is_forced, string_agg(format('%1$I = pg_temp.renamed(%1$I, %2$L)', column_name, '${JSON.stringify(fields)}'), ', ') as sets,
            string_agg(format('%I::text ~ %L', column_name, '"(${words})"'), ' or ') as wheres
          from information_schema.columns join pg_class on relname = table_name and relnamespace = 'public'::regnamespace and relkind = 'r'
          where table_schema = 'public' and data_type = 'jsonb' group by table_name loop
          if one.is_forced then execute format('alter table %I no force row level security', one.name); end if;
          execute format('update %I set %s where %s', one.name, one.sets, one.wheres);
          set constraints all immediate;
          if one.is_forced then execute format('alter table %I force row level security', one.name); end if;
        end loop;
      end $$`);
    this.addSql('drop function pg_temp.renamed');
  }
}

function turned(names: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.entries(names).map(([old, fresh]) => [fresh, old]));
}
