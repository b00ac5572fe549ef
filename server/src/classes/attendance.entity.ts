import type { Attendance } from '@leiter/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('attendance')
export class AttendanceEntity {
  @PrimaryColumn('uuid', { name: 'class_id' })
  classId!: string;

  @PrimaryColumn('uuid', { name: 'child_id' })
  childId!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('text')
  status!: Attendance;
}
