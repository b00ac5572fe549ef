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
}
