import { Migration } from '@mikro-orm/migrations';

/** A player's handicap, by which shots nobody measured scatter. */
export class Migration007Handicap extends Migration {
  override up(): void {
    this.addSql('alter table player add column handicap real');
  }
  override down(): void {
    this.addSql('alter table player drop column handicap');
  }
}
