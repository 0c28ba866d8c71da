import { said, type Part } from '../said';
export { close } from '../verbs';

/** What CardDialog says. */
export const whereAmIWhomTo = 'Where am I, whom to call';
export const sayThisOnThePhone = 'Say this on the phone';
export const badlyHurtOrInDanger =
  'Badly hurt, or in danger: call the local emergency number. Necessaire never dials. Stay with whoever is hurt, and keep warm.';
export const within = (off: Part) => said`within ${off}`;
export const lookingForThePosition = 'Looking for the position …';
export const lookAgain = 'Look again';
export const offTheWayOfThis = 'from the route of this trip';
export const after = (name: Part) => said`after ${name}`;
export const fromTheStart = 'from the start';
export const before = (name: Part) => said`before ${name}`;
export const fromTheStartToGo = (name: Part, km: Part, left: Part) =>
  said`${name}, ${km} from the start, ${left} to go`;
export const offTheWay = (off: Part) => said`; ${off} from the route`;
export const help = 'Help';
export const which = 'Which';
export const way = 'Distance';
export const time = 'Time';
export const light = 'Light:';
export const leftSunset = (minute: Part) => said`left, sunset ${minute}.`;
export const fuelAbout = 'Fuel: about';
export const toTheReserveOnThe = 'to the reserve, on the worst ground of the trip.';
export const water = 'Water:';
export const aDayEachAtThe = 'a day each, at least.';
export const filledUpAtOnThe = 'Last filled up at (odometer)';
export const onlyOnThisDevice = 'Only on this device';
export const yourName = 'Your name';
export const whoRidesWithYouAnd = 'Who rides with you, and whom to call for them';
export const whomToCallAndThe = 'Whom to call, and the recovery number';
export const bloodGroupAllergiesIfYou = 'Blood group, allergies (optional)';
export const thisBrowserIsFullThese =
  'This browser is full: these details last only until you close the page. Write them on paper.';
export const thisStaysInThisBrowser =
  'These details stay in this browser, not in the garage and not on the server. A file or a print has them only if you tick that.';
export const thisDeviceDoesNotSay = 'This device gives no position.';
export const youDidNotAllowThe =
  'You did not allow the position. Allow it in the browser, or read it from another device.';
export const noPositionYetGoWhere = 'No position yet. Go where you can see the sky, and try again.';
export const none = 'none';
