import { isFields, openDocument, writeDocument, type DocumentFault, type Fields, type Upgrade } from '../values/document.js';
import type { Result } from '../values/result.js';
import type { ClassPlan } from './class-plan.js';
import type { PlanTemplate } from './template.js';

/** 0 → 1: documents got a version, and nothing else changed. */
const upgrades: readonly Upgrade[] = [(older) => older];

const isItem = (value: unknown): boolean =>
  isFields(value) &&
  typeof value['id'] === 'string' &&
  typeof value['movement'] === 'string' &&
  isFields(value['dose']) &&
  Array.isArray(value['tiers']);
const isSection = (value: unknown): boolean =>
  isFields(value) &&
  typeof value['id'] === 'string' &&
  typeof value['kind'] === 'string' &&
  Array.isArray(value['items']) &&
  value['items'].every(isItem);
const isPlan = (content: Fields): boolean =>
  Array.isArray(content['sections']) && content['sections'].every(isSection) && Array.isArray(content['focus']);

/** Opens the plan of a class as the database, a file or a browser kept it, whichever version of Leiter wrote it. */
export function openPlan(kept: unknown): Result<ClassPlan, DocumentFault> {
  return openDocument<ClassPlan>(kept, upgrades, isPlan);
}

export function writePlan(plan: ClassPlan): ClassPlan & { readonly v: number } {
  return writeDocument(plan, upgrades);
}

const isTemplate = (content: Fields): boolean =>
  typeof content['slug'] === 'string' && typeof content['name'] === 'string' && Array.isArray(content['sections']);

/** Opens a running order to start from, as the database kept it. */
export function openTemplate(kept: unknown): Result<PlanTemplate, DocumentFault> {
  return openDocument<PlanTemplate>(kept, upgrades, isTemplate);
}

export function writeTemplate(template: PlanTemplate): PlanTemplate & { readonly v: number } {
  return writeDocument(template, upgrades);
}
