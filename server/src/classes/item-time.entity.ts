import type { Way } from '@leiter/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How long an item of a class taught was planned and how long it took. */
@Entity('item_time')
export class ItemTimeEntity {
  @PrimaryColumn('uuid', { name: 'class_id' })
  classId!: string;

  @PrimaryColumn('text', { name: 'item_id' })
  itemId!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('text', { name: 'movement_slug' })
  movementSlug!: string;

  @Column('real', { name: 'planned_seconds' })
  plannedSeconds!: number;

  @Column('real', { name: 'real_seconds' })
  realSeconds!: number;

  /** In which way it was taught; null, as all that follows, where the item was skipped or nothing was measured. */
  @Column('text', { nullable: true })
  way!: Way | null;

  @Column('boolean', { name: 'is_clock_bound', nullable: true })
  isClockBound!: boolean | null;

  @Column('real', { name: 'planned_explain', nullable: true })
  plannedExplain!: number | null;

  @Column('real', { name: 'real_explain', nullable: true })
  realExplain!: number | null;

  @Column('real', { name: 'planned_work', nullable: true })
  plannedWork!: number | null;

  @Column('real', { name: 'real_work', nullable: true })
  realWork!: number | null;
}
