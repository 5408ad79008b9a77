import { idNumber } from './deedRoute';

/** @throws ProblemError 404 for what is no job number */
export const jobNumber = idNumber('This job');
