interface CountMarkProps {
  readonly count: number;
  /** Drawn with a broken line: the country is known, the town is not. */
  readonly isCountry: boolean;
  readonly isChosen?: boolean;
}

/** How many are at a place, as on the map. */
export function CountMark({ count, isCountry, isChosen = false }: CountMarkProps) {
  return (
    <span
      className={`rounded-stamp border font-serif text-text tabular-nums ${
        isChosen ? 'border-berry bg-berry text-onBerry' : 'border-ink bg-paper text-ink'
      }`}
      style={{
        ...{ minWidth: 28, padding: '3px 4px', textAlign: 'center', boxSizing: 'border-box' },
        ...(isCountry ? { borderStyle: 'dashed' } : {}),
      }}
    >
      {count}
    </span>
  );
}
