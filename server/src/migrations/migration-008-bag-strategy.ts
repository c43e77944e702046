import { Migration } from '@mikro-orm/migrations';

/** How a bag is to be spaced belongs to the bag. */
export class Migration008BagStrategy extends Migration {
  override up(): void {
    this.addSql("alter table bag add column strategy text not null default 'even-carries'");
  }
  override down(): void {
    this.addSql('alter table bag drop column strategy');
  }
}
