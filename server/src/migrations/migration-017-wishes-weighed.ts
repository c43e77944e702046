import { Migration } from '@mikro-orm/migrations';

/** What a fitting or a shot to learn is to bring, so that it can be weighed; and the day something was bought. */
export class Migration017WishesWeighed extends Migration {
  override up(): void {
    this.addSql('alter table wish add column expected jsonb, add column bought_on date');
  }
  override down(): void {
    this.addSql('alter table wish drop column expected, drop column bought_on');
  }
}
