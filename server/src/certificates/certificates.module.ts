import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { CertificatesController } from './certificates.controller.js';
import { CertificatesService } from './certificates.service.js';

/** Certificates on paper. */
@Module({
  imports: [LibraryModule],
  controllers: [CertificatesController],
  providers: [CertificatesService],
  exports: [CertificatesService],
})
export class CertificatesModule {}
