import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('teaching_group')
export class GroupEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'programme_id' })
  programmeId!: string;

  @Column('text')
  name!: string;

  @Column('smallint')
  weekday!: number;

  @Column('time', { name: 'starts_at' })
  startsAt!: string;

  @Column('smallint', { name: 'length_minutes' })
  lengthMinutes!: number;

  @Column('uuid', { name: 'instructor_id', nullable: true })
  instructorId!: string | null;

  @Column('timestamptz', { name: 'archived_at', nullable: true })
  archivedAt!: Date | null;
}
