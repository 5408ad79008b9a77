/** The reference library of psychrometrics, of which tests use this much. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(celsius: number): number;
    GetTWetBulbFromRelHum(celsius: number, humidity: number, pascals: number): number;
  };
  export default psychrolib;
}
