export * from './garage.js';
export * from './file.js';
export {
  editToNow,
  garageTo2,
  garageTo3,
  garageTo4,
  garageTo5,
  garageTo6,
  garageTo7,
  garageTo8,
  garageTo9,
  garageTo10,
  rowTo2,
  rowTo3,
  rowTo4,
  rowTo5,
  rowTo6,
  rowTo7,
  rowTo8,
  rowTo9,
  rowTo10,
  type OldRow,
} from './upgrade.js';
