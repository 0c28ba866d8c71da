import { said, type Part } from '../said';
export { cancel } from '../verbs';

/** What PeopleSheet says. */
export const addSomebody = 'Add somebody';
export const nameBikeWhatYouKnow = 'Name, bike, what you know';
export const adaEnduro250TubesHandy = 'Ada, enduro 250, tubes, handy';
export const notUnderstood = (unread: Part) => said` · not understood: ${unread}`;
export const addToTheRide = 'Add to the ride';
export const readTheirGarageFile = 'Import their garage file …';
export const separateByCommasKindOf =
  'Separate by commas: kind of bike (enduro, trail, dual-sport, adventure, touring, cruiser, street, scooter), tubes or tubeless, chain, shaft or belt, what they can do (anybody, handy, has done it before), first aid, 90 kg, carries 4 kg.';
export const whatTheFileHolds = 'In this file';
export const kindOfSpare = 'kind of spare';
export const kindsOfSpare = 'kinds of spare';
export const itStaysTheirsNothingGoes = (name: Part, fasteners: Part, pieces: Part, kindsOfSpare: Part) =>
  said`: ${name}; ${fasteners}, ${pieces}, ${kindsOfSpare}. It stays theirs; nothing goes into your toolbox.`;
export const tooManyToKeepLeft = (it: Part) => said`Too many to save: ${it} left out.`;
export const add = (name: Part) => said`Add ${name}`;
export const name = 'Name';
export const rides = 'Rides';
export const whatTheyCanDo = 'What they can do';
export const weightInRidingGear = 'Weight in riding gear';
export const mayCarryOnTheBike = 'Limit on the bike';
export const whatItsPlacesBear = 'what its places are rated for';
export const mayCarryOnTheBody = 'Limit on the body';
export const roomOnTheBodyL = 'Room on the body (L)';
export const trainedInFirstAid = 'Trained in first aid';
export const skillBySubject = 'Skill by subject';
export const asInGeneral = 'as in general';
export const notKnownCountedAsMm = (role: Part, size: Part) => said`${role}: not known, counted as ${size} mm`;
export const mm = (it: Part) => said`${it} mm`;
export const known = (fasteners: Part, pieces: Part, file: Part) => said`${fasteners}, ${pieces} known, ${file}`;
export const replaceByTheirFile = 'Replace with their file …';
export const notOnThisRide = 'Not on this ride';
export const deleteThem = 'Delete this rider';
export const you = 'You';
export const companion = 'Companion';
export const notUnderstood2 = (unread: Part) => said`Not understood: ${unread}.`;
export const theBikeIsAGuess = 'The bike is a guess until you know more.';
export const ridesAlong = (name: Part, theBikeIsAGuess: Part) => said`${name} rides along. ${theBikeIsAGuess}`;
export const isOverMbAndCannot = (name: Part, mostBytes: Part) =>
  said`${name} is larger than ${mostBytes} MB and cannot be a garage file.`;
export const cannotBeRead = (name: Part, path: Part, message: Part) =>
  said`${name} cannot be read. ${path}: ${message}`;
export const hasNoBikeInIt = (name: Part) => said`${name} has no bike in it: ask for a garage with one.`;
export const readSFile = (name: Part) => said`import ${name}’s file`;
export const isAsInTheirFile = (name: Part) => said`${name} is as in their file.`;
export const ridesAlong2 = (name: Part) => said`${name} rides along.`;
export const changeTheRider = 'change the rider';
export const chooseTheBike = 'choose the bike';
export const doesNotRideAlongWhat = (name: Part) => said`${name} no longer rides along. Their details stay saved.`;
export const isDeleted = (name: Part) => said`${name} is deleted.`;
export const fromTheirFile = 'from their file.';
export const fromOneLine = 'from one line: typical values until you know more.';
export const notKnown = 'not known';
