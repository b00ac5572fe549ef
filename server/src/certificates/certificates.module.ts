import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { LibraryModule } from '../library/library.module.js';
import { AwardsService } from './awards.service.js';
import { BadgesController } from './badges.controller.js';
import { BadgesService } from './badges.service.js';
import { CertificatesController } from './certificates.controller.js';
import { CertificatesService } from './certificates.service.js';

/** Certificates on paper, and badges that others can verify. */
@Module({
  imports: [ClubModule, LibraryModule],
  controllers: [CertificatesController, BadgesController],
  providers: [AwardsService, BadgesService, CertificatesService],
  exports: [BadgesService, CertificatesService],
})
export class CertificatesModule {}
