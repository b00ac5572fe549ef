import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('club')
export class ClubEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('text')
  name!: string;

  @Column('text', { name: 'time_zone' })
  timeZone!: string;

  @Column('boolean', { name: 'is_demo' })
  isDemo!: boolean;
}
