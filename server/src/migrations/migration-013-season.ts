import { Migration } from '@mikro-orm/migrations';

/** A player's season: windows before events, freezes, trips, trials. */
export class Migration013Season extends Migration {
  override up(): void {
    this.addSql('alter table player add column season jsonb');
  }
  override down(): void {
    this.addSql('alter table player drop column season');
  }
}
