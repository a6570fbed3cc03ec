import type { Colours } from '../theme/ThemeProvider';

/** What a chart of stacked bars shows. */
export interface ChartData {
  /** What it is about: "Talks by month". */
  readonly name: string;
  readonly bars: readonly {
    /** Under the bar. */
    readonly short: string;
    /** In full, for the table. */
    readonly label: string;
    /** One value for each of the series. */
    readonly parts: readonly number[];
  }[];
  readonly series: readonly { readonly label: string; readonly tone: keyof Colours }[];
}
