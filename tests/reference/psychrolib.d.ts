/** What is used of a library that ships without types. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    /** °C, 0 to 1 → °C. */
    GetTDewPointFromRelHum(tempC: number, humidity: number): number;
    /** °C → Pa. */
    GetSatVapPres(tempC: number): number;
  };
  export default psychrolib;
}
