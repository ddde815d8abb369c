/** Minutes at 5, 10, 20 and 30 °C: the temperatures at which the demo cards state their times. */
export const at = (t5: number, t10: number, t20: number, t30: number) => [
  { tempC: 5, minutes: t5 },
  { tempC: 10, minutes: t10 },
  { tempC: 20, minutes: t20 },
  { tempC: 30, minutes: t30 },
];
