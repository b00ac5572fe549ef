import {
  ConsentRequest,
  HomeLanguageRequest,
  PracticeRequest,
  ToldAbsenceRequest,
  ToldHomeRequest,
  type HomeLinkMade,
  type HomeLinkResponse,
  type HomePageResponse,
} from '@leiter/contract';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  Headers,
  HttpCode,
  Ip,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Req,
  Res,
  type StreamableFile,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { BadgesService } from '../certificates/badges.service.js';
import { CertificatesService } from '../certificates/certificates.service.js';
import { originOf } from '../http/own-hosts.js';
import { paperAnswer } from '../http/paper-answer.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles, ForVisitors } from '../people/session.guard.js';
import { FromHomeService } from './from-home.service.js';
import { HomeLinksService, tokenIn } from './home-links.service.js';
import { HomePageService } from './home-page.service.js';

@Controller()
export class HomeController {
  constructor(
    private readonly links: HomeLinksService,
    private readonly pages: HomePageService,
    private readonly told: FromHomeService,
    private readonly certificates: CertificatesService,
    private readonly badges: BadgesService,
  ) {}

  /** Whether the family has a page, what was practised, and what it allows. */
  @ForEverybody()
  @Get('children/:id/home')
  async about(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<HomeLinkResponse> {
    await this.told.refuseOthers(asker, id);
    return { ...(await this.links.stateOf(asker.clubId, id)), ...(await this.told.about(asker.clubId, id)) };
  }

  @ForRoles('owner', 'instructor')
  @Post('children/:id/home')
  async make(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<HomeLinkMade> {
    await this.told.refuseOthers(asker, id);
    return { token: await this.links.make(asker.clubId, id) };
  }

  @ForRoles('owner', 'instructor')
  @Delete('children/:id/home')
  @HttpCode(204)
  async end(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    await this.told.refuseOthers(asker, id);
    await this.links.end(asker.clubId, id);
  }

  /** A consent that was given on paper or by word of mouth is written down by the staff. */
  @ForRoles('owner', 'instructor')
  @Post('children/:id/consents')
  @HttpCode(204)
  async writeConsent(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: ConsentRequest): Promise<void> {
    await this.told.refuseOthers(asker, id);
    await this.told.consent({ clubId: asker.clubId, childId: id }, body, asker.id);
  }

  @ForVisitors()
  @Get('home')
  @Header('Cache-Control', 'private, no-store')
  @Header('X-Robots-Tag', 'noindex')
  async page(@Headers('authorization') authorization: string | undefined, @Ip() address: string): Promise<HomePageResponse> {
    return this.pages.page(await this.links.childOf(tokenIn(authorization), address));
  }

  @ForVisitors()
  @Put('home/practice/:id')
  @HttpCode(204)
  async practise(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PracticeRequest,
  ): Promise<void> {
    await this.told.practise(await this.links.childOf(tokenIn(authorization), address), id, body);
  }

  @ForVisitors()
  @Delete('home/practice/:id')
  @HttpCode(204)
  async takeBackPractice(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Param('id', ParseUUIDPipe) id: string,
  ): Promise<void> {
    await this.told.takeBackPractice(await this.links.childOf(tokenIn(authorization), address), id);
  }

  @ForVisitors()
  @Put('home/absence')
  @HttpCode(204)
  async absence(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Body() body: ToldAbsenceRequest,
  ): Promise<void> {
    await this.told.absence(await this.links.childOf(tokenIn(authorization), address), body);
  }

  @ForVisitors()
  @Put('home/household')
  @HttpCode(204)
  async household(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Body() body: ToldHomeRequest,
  ): Promise<void> {
    await this.told.household(await this.links.childOf(tokenIn(authorization), address), body);
  }

  @ForVisitors()
  @Put('home/language')
  @HttpCode(204)
  async language(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Body() body: HomeLanguageRequest,
  ): Promise<void> {
    await this.told.language(await this.links.childOf(tokenIn(authorization), address), body);
  }

  @ForVisitors()
  @Post('home/consents')
  @HttpCode(204)
  async consent(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Body() body: ConsentRequest,
  ): Promise<void> {
    await this.told.consent(await this.links.childOf(tokenIn(authorization), address), body, null);
  }

  @ForVisitors()
  @Get('home/certificates/:gradeId')
  async certificate(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { clubId, childId } = await this.links.childOf(tokenIn(authorization), address);
    const batch = await this.certificates.ofGrade(clubId, childId, gradeId, originOf(request));
    // one page is set to its end: a thread that strangers could end would be everybody's
    return paperAnswer(request, response, batch.name, 1, (onPages) => this.certificates.print(clubId, batch, onPages));
  }

  /** The id under which a grade can be verified, and its badge fetched; for a family that allows it. */
  @ForVisitors()
  @Get('home/badges/:gradeId')
  async badge(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
  ): Promise<{ readonly id: string }> {
    const { clubId, childId } = await this.links.childOf(tokenIn(authorization), address);
    return { id: await this.badges.ofGrade(clubId, childId, gradeId) };
  }
}
