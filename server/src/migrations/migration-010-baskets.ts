import { Migration } from '@mikro-orm/migrations';

/** A session may know what is to be hit in it. */
export class Migration010Baskets extends Migration {
  override up(): void {
    this.addSql('alter table session add column basket jsonb');
  }
  override down(): void {
    this.addSql('alter table session drop column basket');
  }
}
