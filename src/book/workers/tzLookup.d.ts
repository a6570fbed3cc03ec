declare module 'tz-lookup' {
  /** The IANA time zone at a latitude and a longitude in degrees. @throws RangeError outside the globe */
  function lookUpZone(lat: number, lon: number): string;
  export = lookUpZone;
}
