import { Migration } from '@mikro-orm/migrations';
import { SHEET_TEXT_SQL } from '../sheet/sheet-text-sql.js';

/** A player's handicap, by which shots nobody measured scatter. */
export class Migration007Handicap extends Migration {
  override up(): void {
    this.addSql('alter table player add column handicap real');
    this.addSql(SHEET_TEXT_SQL);
  }
}
