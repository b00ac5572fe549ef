import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('enrolment')
export class EnrolmentEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'child_id' })
  childId!: string;

  @Column('uuid', { name: 'group_id' })
  groupId!: string;

  @Column('date', { name: 'from_day' })
  fromDay!: string;

  @Column('date', { name: 'to_day', nullable: true })
  toDay!: string | null;
}
