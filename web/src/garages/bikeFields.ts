import { bikeSchema, type Bike } from '@necessaire/core';
import { faultsByField } from '../ui/useRules';

/** Faults of a bike's fields by field name, empty when it may be kept. */
export const bikeFaults = (bike: Bike): Readonly<Record<string, string>> => faultsByField(bikeSchema, bike);
