import { Migration } from '@mikro-orm/migrations';

/** What a player wants of every choice is kept with the player. */
export class Migration011Preferences extends Migration {
  override up(): void {
    this.addSql('alter table player add column preferences jsonb');
  }
  override down(): void {
    this.addSql('alter table player drop column preferences');
  }
}
