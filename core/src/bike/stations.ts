/** Stations of a bike in the order of a walk round it, with where each sits on the drawn bike. */
export const STATIONS = [
  'front-wheel',
  'cockpit',
  'front-end',
  'tank-seat',
  'electrics',
  'plug-top',
  'engine',
  'controls',
  'exhaust',
  'rear-wheel',
  'suspension',
  'racks',
] as const;
export type Station = (typeof STATIONS)[number];

export const STATION_NAMES: Record<Station, string> = {
  'front-wheel': 'Front wheel',
  cockpit: 'Cockpit',
  'front-end': 'Forks and steering',
  'tank-seat': 'Tank and seat',
  electrics: 'Electrics',
  'plug-top': 'Plug and top',
  engine: 'Sump and drain',
  controls: 'Foot controls',
  exhaust: 'Exhaust',
  'rear-wheel': 'Drive and rear wheel',
  suspension: 'Suspension',
  racks: 'Guards and racks',
};
