import { owner, type Right } from './roles';

export const mayReadAudit: Right = { name: 'read-audit', roles: owner, summary: 'Read the audit' };
