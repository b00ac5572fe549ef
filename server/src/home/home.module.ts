import { Module } from '@nestjs/common';
import { CertificatesModule } from '../certificates/certificates.module.js';
import { ClassesModule } from '../classes/classes.module.js';
import { ClipsController } from '../clips/clips.controller.js';
import { ClipsModule } from '../clips/clips.module.js';
import { ClubModule } from '../club/club.module.js';
import { LibraryModule } from '../library/library.module.js';
import { RecordModule } from '../record/record.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { FromHomeService } from './from-home.service.js';
import { HomeClassesService } from './home-classes.service.js';
import { HomeLinksService } from './home-links.service.js';
import { HomePageService } from './home-page.service.js';
import { HomeController } from './home.controller.js';

/** The page of a family: a private link, without an account. */
@Module({
  imports: [CertificatesModule, ClassesModule, ClipsModule, ClubModule, LibraryModule, RecordModule, SyllabusModule],
  controllers: [ClipsController, HomeController],
  providers: [FromHomeService, HomeClassesService, HomeLinksService, HomePageService],
  exports: [HomeClassesService, HomeLinksService],
})
export class HomeModule {}
