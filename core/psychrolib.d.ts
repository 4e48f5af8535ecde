/** The part of psychrolib that the checks use. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetTDewPointFromRelHum(celsius: number, share: number): number;
    GetRelHumFromTDewPoint(celsius: number, dewPoint: number): number;
  };
  export default psychrolib;
}
