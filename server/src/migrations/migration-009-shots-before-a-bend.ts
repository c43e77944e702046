import { Migration } from '@mikro-orm/migrations';
import { SPEC_AS_OF as SPEC_AS_OF_006 } from './migration-006-nothing-lost.js';

const BUILD_KEYS = `array['loftStampedDeg', 'loftSetDeg', 'loftMeasuredDeg', 'setting', 'lengthIn', 'shaft']`;

/**
 * As migration 6 made it, with what of the build was otherwise on the day a shot was taken; what is recorded of
 * one day belongs together.
 */
const SPEC_AS_OF = `
  create or replace function spec_as_of(of_club uuid, day date) returns jsonb language sql stable as $$
    with recursive known as (
      (select key from reading where club_id = of_club and removed_at is null order by key limit 1)
      union all
      select (select key from reading where club_id = of_club and removed_at is null and key > known.key order by key limit 1)
      from known where known.key is not null
    ),
    standing as (
      select known.key, newest.* from known, lateral (
        select value, taken_on, stands_from, seq from reading
        where club_id = of_club and key = known.key and removed_at is null and stands_from <= day
        order by stands_from desc, seq desc limit 1
      ) newest
      where known.key is not null and newest.value is not null and newest.value <> 'null'::jsonb
    )
    select coalesce(jsonb_object_agg(standing.key,
      jsonb_build_object('value', standing.value, 'takenOn', standing.taken_on::text)
      || case when standing.key like 'shot.%' then coalesce((
        select jsonb_build_object('build', jsonb_object_agg(part.key, case when old.value is null or old.value = 'null'::jsonb then 'null'::jsonb
          else jsonb_build_object('value', old.value, 'takenOn', old.taken_on::text) end))
        from unnest(${BUILD_KEYS}) as part (key)
        left join standing now on now.key = part.key
        left join lateral (
          select value, taken_on from reading
          where club_id = of_club and key = part.key and removed_at is null
            and stands_from <= standing.stands_from
          order by stands_from desc, seq desc limit 1
        ) old on true
        where now.value is distinct from old.value and (now.value is not null or old.value <> 'null'::jsonb)
        having count(*) > 0), '{}') else '{}' end), '{}')
    from standing
  $$`;

/** A carry measured before the club was bent or rebuilt knows what the club was. */
export class Migration009ShotsBeforeABend extends Migration {
  override up(): void {
    this.addSql(SPEC_AS_OF);
    this.#refreshSpecs();
  }

  override down(): void {
    this.addSql(SPEC_AS_OF_006);
    this.#refreshSpecs();
  }

  #refreshSpecs(): void {
    for (const table of ['club', 'reading']) this.addSql(`alter table ${table} no force row level security`);
    this.addSql("update club set spec = spec_as_of(id, (now() at time zone 'UTC')::date)");
    this.addSql('set constraints all immediate');
    this.addSql('set constraints all deferred');
    for (const table of ['club', 'reading']) this.addSql(`alter table ${table} force row level security`);
  }
}
