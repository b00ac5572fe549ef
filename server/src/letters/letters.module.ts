import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { GradingModule } from '../grading/grading.module.js';
import { HomeModule } from '../home/home.module.js';
import { LibraryModule } from '../library/library.module.js';
import { LetterFactsService } from './letter-facts.service.js';
import { LettersController } from './letters.controller.js';
import { LettersService } from './letters.service.js';
import { PostService } from './post.service.js';

/** Letters to families: what there is to write, and the post. */
@Module({
  imports: [ClubModule, GradingModule, HomeModule, LibraryModule],
  controllers: [LettersController],
  providers: [LetterFactsService, LettersService, PostService],
})
export class LettersModule {}
