import { ROLES, type Role } from '../../bike/index.js';

const SAYS = 'no fastener is marked as ';
/** Why a way cannot be had on a bike on which no fastener has the job that it turns. */
export const unmarked = (role: Role): string => SAYS + role;

/** The job that such a sentence asks for, so that whoever reads it can mark one; null for any other sentence. */
export const unmarkedRole = (sentence: string): Role | null => ROLES.find((role) => sentence === SAYS + role) ?? null;
