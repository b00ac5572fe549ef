import type { CheckChange, CheckNumberRequest, ClubChecksResponse, TurnCheckRequest } from '@leiter/contract';
import { checksTold, isUsual, ruleNamed, ruleRefusal, sameRuleValue, type ClubRules, type RuleValue } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { lockFor } from '../database/locks.js';
import { rows } from '../database/rows.js';
import { fieldRefused, notFound } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';

const mostChangesTold = 100;

type Stored = 'on' | 'off' | RuleValue | null;

interface RuleRow {
  readonly rule: string;
  readonly value: Stored;
  readonly reason: string;
}

/** What a club holds otherwise than usual of the checks on a plan. Every change is kept, with who made it and why. */
@Injectable()
export class ChecksService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly live: LiveService,
  ) {}

  async rules(clubId: string): Promise<ClubRules> {
    const found = await rows<RuleRow>(
      this.source,
      'SELECT DISTINCT ON (rule) rule, value, reason FROM check_rule WHERE club_id = $1 ORDER BY rule, id DESC',
      [clubId],
    );
    return {
      off: found.flatMap(({ rule, value, reason }) => (value === 'off' && isCheck(rule) ? [{ check: rule, reason }] : [])),
      numbers: Object.fromEntries(found.flatMap(({ rule, value }) => (isOwn(rule, value) ? [[rule, value]] : []))),
    };
  }

  async about(clubId: string): Promise<ClubChecksResponse> {
    const [rules, changes] = await Promise.all([this.rules(clubId), this.changes(clubId)]);
    return { rules, changes };
  }

  /**
   * Turns a check off or on.
   * @throws 404 for no check; 422 for a check that can stop a class and no reason
   */
  async turn({ id, clubId }: Asker, check: string, { isOn, reason = '' }: TurnCheckRequest): Promise<void> {
    const told = checksTold.find((one) => one.id === check);
    if (!told) throw notFound('check');
    if (!isOn && told.gravest === 'stop' && reason === '')
      throw fieldRefused('reason', 'This check can stop a class. Say why your club does not make it.');
    await this.keep(clubId, id, { rule: check, value: isOn ? 'on' : 'off', reason });
  }

  /**
   * Keeps a number of the club's own, or goes back to the usual one.
   * @param asked null for the usual one
   * @throws 404 for no number of a check; 422 for a value that it cannot be
   */
  async set({ id, clubId }: Asker, number: string, asked: CheckNumberRequest | null): Promise<void> {
    const rule = ruleNamed(number);
    if (!rule) throw notFound('number of a check');
    const value = asked && (asked.steps?.map(({ upToYears, limit }) => ({ upToYears, limit })) ?? asked.value);
    if (value === undefined) throw fieldRefused('value', 'What shall it be?');
    const refusal = value === null ? null : ruleRefusal(rule, value);
    if (refusal !== null) throw fieldRefused(asked?.steps ? 'steps' : 'value', refusal);
    await this.keep(clubId, id, { rule: number, value: value === null || isUsual(rule, value) ? null : value, reason: '' });
  }

  private async keep(clubId: string, personId: string, { rule, value, reason }: RuleRow): Promise<void> {
    await this.source.transaction(async (manager) => {
      await lockFor(manager, 'checks', clubId);
      if (!(await this.isNews(manager, clubId, { rule, value, reason }))) return;
      await manager.query('INSERT INTO check_rule (club_id, rule, value, reason, changed_by) VALUES ($1, $2, $3, $4, $5)', [
        clubId,
        rule,
        JSON.stringify(value),
        reason,
        personId,
      ]);
      await this.live.emit(manager, clubId, { topic: 'checks' });
    });
  }

  /** What is so already, or was never otherwise, is no change. */
  private async isNews(manager: EntityManager, clubId: string, { rule, value, reason }: RuleRow): Promise<boolean> {
    const [now] = await rows<RuleRow>(
      manager,
      'SELECT rule, value, reason FROM check_rule WHERE club_id = $1 AND rule = $2 ORDER BY id DESC LIMIT 1',
      [clubId, rule],
    );
    if (!now) return value !== null && value !== 'on';
    return !isSame(now.value, value) || (value === 'off' && now.reason !== reason);
  }

  private async changes(clubId: string): Promise<readonly CheckChange[]> {
    const found = await rows<RuleRow & { readonly name: string | null; readonly changed_at: Date }>(
      this.source,
      `SELECT r.rule, r.value, r.reason, p.name, r.changed_at FROM check_rule r LEFT JOIN person p ON p.id = r.changed_by
       WHERE r.club_id = $1 ORDER BY r.id DESC LIMIT $2`,
      [clubId, mostChangesTold],
    );
    return found.map(({ rule, value, reason, name, changed_at }) => ({
      rule,
      to: value ?? 'usual',
      reason,
      by: name ?? '',
      at: changed_at.toISOString(),
    }));
  }
}

const isSame = (one: Stored, other: Stored): boolean => (isValue(one) && isValue(other) ? sameRuleValue(one, other) : one === other);

const isValue = (stored: Stored): stored is RuleValue => stored !== null && typeof stored !== 'string';

const isCheck = (id: string): boolean => checksTold.some((check) => check.id === id);

/** A number that this Leiter knows and can use: what a newer one stored is left alone. */
function isOwn(rule: string, value: Stored): value is RuleValue {
  const known = ruleNamed(rule);
  return known !== undefined && isValue(value) && ruleRefusal(known, value) === null;
}
