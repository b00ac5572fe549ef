import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('movement')
export class MovementEntity {
  @PrimaryColumn('uuid', { name: 'club_id' })
  clubId!: string;

  @PrimaryColumn('text')
  slug!: string;

  /** As `writeMovement` writes it; opened by `openMovement`. */
  @Column('jsonb')
  document!: unknown;

  /** Written or changed by the club: what ships later leaves it alone. */
  @Column('boolean', { name: 'is_own', default: false })
  isOwn!: boolean;

  /** Not offered any more; plans and marks that speak of it still do. */
  @Column('boolean', { name: 'is_put_away', default: false })
  isPutAway!: boolean;

  /** What this club says, instead of the first cue of the entry. */
  @Column('text', { name: 'own_cue', nullable: true })
  ownCue!: string | null;
}
