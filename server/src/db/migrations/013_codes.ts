import type { Knex } from 'knex';
import { garageFrom12, garageTo12 } from '@necessaire/core';
import { rewriteRows } from '../rows.js';

/** The positions of the practice become codes. */
export const up = (knex: Knex): Promise<void> => rewriteRows(knex, [], (_table, row) => row, garageTo12);

/** Version 11 reads them in English. */
export const down = (knex: Knex): Promise<void> => rewriteRows(knex, [], (_table, row) => row, garageFrom12);
