import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('class_session')
export class ClassSessionEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'group_id' })
  groupId!: string;

  @Column('date')
  day!: string;

  @Column('time', { name: 'starts_at' })
  startsAt!: string;

  @Column('smallint', { name: 'length_minutes' })
  lengthMinutes!: number;

  @Column('uuid', { name: 'instructor_id', nullable: true })
  instructorId!: string | null;

  @Column('timestamptz', { name: 'taught_at', nullable: true })
  taughtAt!: Date | null;

  @Column('timestamptz', { name: 'ended_at', nullable: true })
  endedAt!: Date | null;

  @Column('text', { name: 'stops_note', nullable: true })
  stopsNote!: string | null;

  @Column('text', { name: 'cancelled_because', nullable: true })
  cancelledBecause!: string | null;
}
