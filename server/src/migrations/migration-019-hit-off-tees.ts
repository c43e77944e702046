import { Migration } from '@mikro-orm/migrations';

/** A session may be hit off tees. */
export class Migration019HitOffTees extends Migration {
  override up(): void {
    this.hitOff("'grass', 'mat', 'tees'");
  }
  override down(): void {
    // The owner of the tables writes in every workspace, which no one else does.
    this.addSql('alter table session no force row level security');
    this.addSql("update session set hit_off = 'grass' where hit_off = 'tees'");
    this.addSql('alter table session force row level security');
    this.hitOff("'grass', 'mat'");
  }

  private hitOff(values: string): void {
    this.addSql('alter table session drop constraint session_hit_off_check');
    this.addSql(`alter table session add constraint session_hit_off_check check (hit_off in (${values}))`);
  }
}
