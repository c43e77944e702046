import { Migration } from '@mikro-orm/migrations';

/** What a week's bag is chosen for: needs, locks, the worth of a change. */
export class Migration004PlanChoosing extends Migration {
  override up(): void {
    this.addSql('alter table plan add column choosing jsonb');
  }
}
