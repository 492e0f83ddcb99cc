import * as contract from '@bay/contract/jobs';
import type { Registry } from '../http/register.ts';
import { readKnowledgeOfUnit } from '../plan/material.ts';
import { readParts, readSheet } from './store.ts';

export function sheetRoutes(on: Registry): void {
  on.shop(contract.readJob, (tx, { params }) => readSheet(tx, params.jobId));
  on.shop(contract.readJobParts, (tx, { params, query }) => readParts(tx, params.jobId, query));
  on.shop(contract.unitFacts, (tx, { params }) => readKnowledgeOfUnit(tx, params.unitId));
}
