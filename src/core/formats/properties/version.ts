/** What the versions of vCard do differently; shared code asks these flags, never for a version by its number. */
export interface VcardVersion {
  readonly id: '3.0' | '4.0';
  /** Preference is a TYPE of its own (RFC 2426 §3.3.1) instead of PREF=1…100. */
  readonly prefersByType: boolean;
  /** Dates without hyphens, numbers as PREF, data as data: URIs (RFC 6350). */
  readonly hasBasicDates: boolean;
  /** Photos and sounds stand in the value as ENCODING=b (RFC 2426 §2.4.1). */
  readonly hasInlineBinary: boolean;
  /** Further components of N and ADR, and parameters of RFC 9554. */
  readonly hasLongNames: boolean;
  /** The laid-out address is a property LABEL of its own (RFC 2426 §3.2.2). */
  readonly hasLabelProperty: boolean;
}

/** RFC 2426. */
export const VERSION_3: VcardVersion = {
  id: '3.0',
  prefersByType: true,
  hasBasicDates: false,
  hasInlineBinary: true,
  hasLongNames: false,
  hasLabelProperty: true,
};

/** RFC 6350 with RFC 9554. */
export const VERSION_4: VcardVersion = {
  id: '4.0',
  prefersByType: false,
  hasBasicDates: true,
  hasInlineBinary: false,
  hasLongNames: true,
  hasLabelProperty: false,
};
