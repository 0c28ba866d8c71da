/** One figure of the readout. */
export interface Cell {
  key: string;
  label: string;
  value: string;
  unit: string;
  diff: string;
  good: boolean;
  bad?: boolean;
  /** Why there is no figure; empty where there is one. */
  wants?: string;
  explain: () => void;
}
