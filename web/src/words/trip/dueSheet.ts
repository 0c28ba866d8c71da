import { said, type Part } from '../said';
export { deleteIt } from '../verbs';

/** What DueSheet says. */
export const fallsDue = 'Falls due';
export const addAService = 'Add a service';
export const onTheClock = 'On the clock';
export const setTheOdometer = 'set the odometer';
export const engineHours = 'Engine hours';
export const setTheEngineHours = 'set the engine hours';
export const fuel = 'Fuel';
export const setTheConsumption = 'set the consumption';
export const oilUsed = 'Oil used';
export const setTheOilUse = 'set the oil use';
export const noServicesYetAddOil =
  'No services yet. Add oil, filter, chain, pads, tyres: with the interval, and when it was last done.';
export const why = (name: Part) => said`Why ${name}`;
export const name = 'Name';
export const every = 'Every';
export const noKm = 'no km';
export const orDays = 'or days';
export const noDays = 'no days';
export const orEngineHours = 'or engine hours';
export const noHours = 'no hours';
export const leftOfItInDust = 'Share of the interval in dust (%)';
export const lastDoneAt = 'Last done at';
export const atEngineHours = 'at engine hours';
export const on = 'on';
export const takes = 'Uses up';
export const howMuch = 'how much';
export const doneToday = 'Done today';
export const oilThatTheEngineBurns = 'Oil that the engine burns on the way:';
export const fuelAndWaterLegBy = 'Fuel and water, leg by leg';
export const tank = (tank: Part) => said`tank ${tank}`;
export const onATank = 'on a tank';
export const gapNotKnown = 'gap not known';
export const spareFuel = 'spare fuel';
export const waterADay = 'water a day';
export const fuelOnlyInApprovedCans =
  'Fuel burns: carry it only in approved cans, away from the exhaust. Treat water from streams before you drink it.';
export const overdueBeforeLeaving = 'overdue: before leaving';
export const notOnThisTrip = 'not on this trip';
export const notOnThisTripLeft = (leftKm: Part) => said`not on this trip; ${leftKm} left now`;
export const theTrip = 'the trip';
export const timesInAll = (times: Part) => said`, ${times} times in all`;
export const onOrBeforeLeaving = (name: Part, times: Part) => said`on ${name}${times}: or before leaving`;
export const newService = 'New service';
export const addAService2 = 'add a service';
export const isDoneTodayAt = (name: Part, odometer: Part) => said`${name} is done today at ${odometer}.`;
export const takeOut = (name: Part) => said`delete ${name}`;
export const takenOut = (name: Part) => said`${name} deleted.`;
export const dueWhenTheWearSince =
  'due when the wear since it was last done reaches its interval, or its days are over, whichever is first';
export const leftBeforeTheTrip = 'left before the trip';
export const byDaysOnly = 'by days only';
export const timesByTheEndOf = 'times by the end of the trip';
export const yourBikesServiceBookWhat =
  'your bike’s service book; what dust takes is a typical value. The maker’s manual comes first.';
export const fuelAndWaterOn = (name: Part) => said`Fuel and water on ${name}`;
export const onATank2 = (range: Part) => said`${range} on a tank`;
export const theWayBetweenPumpsIs = 'the distance between fuel stops is not known';
export const atAndHInThe = (water: Part, temperature: Part, hours: Part) =>
  said`${water} at ${temperature} and ${hours} h in the saddle`;
export const typicalValuesASeventhOf =
  'typical values: a seventh of the tank kept back, fuel a fifth farther than planned, half a litre to a litre of water an hour by the heat';
export const change = (name: Part) => said`Change ${name}`;
export const interval = 'interval';
export const usesUp = 'uses up';
export const nothing = 'nothing';
