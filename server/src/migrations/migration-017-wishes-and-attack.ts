import { Migration } from '@mikro-orm/migrations';

/**
 * What a fitting or a shot to learn is to bring, so that it can be weighed; the day something was bought; the
 * angle of attack of a shot.
 */
export class Migration017WishesAndAttack extends Migration {
  override up(): void {
    this.addSql('alter table wish add column expected jsonb, add column bought_on date');
    this.addSql('alter table strike add column attack_deg double precision');
  }
  override down(): void {
    this.addSql('alter table wish drop column expected, drop column bought_on');
    this.addSql('alter table strike drop column attack_deg');
  }
}
