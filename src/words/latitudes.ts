/** Somewhere near, for who does not know the latitude: how strong daylight is differs little within a few degrees. */
export const LATITUDES: readonly { name: string; deg: number }[] = [
  { name: 'Tromsø', deg: 70 },
  { name: 'Reykjavík', deg: 64 },
  { name: 'Oslo, Helsinki', deg: 60 },
  { name: 'Edinburgh, Copenhagen', deg: 56 },
  { name: 'London, Berlin, Warsaw', deg: 52 },
  { name: 'Paris, Vienna, Vancouver', deg: 49 },
  { name: 'Milan, Bordeaux, Montréal', deg: 45 },
  { name: 'Rome, Boston, Sapporo', deg: 42 },
  { name: 'Madrid, New York, Beijing', deg: 40 },
  { name: 'Athens, San Francisco, Seoul', deg: 38 },
  { name: 'Tokyo, Los Angeles, Casablanca', deg: 35 },
  { name: 'Cairo, Houston, Delhi', deg: 29 },
  { name: 'Mexico City, Mumbai', deg: 19 },
  { name: 'Bogotá, Singapore, Nairobi', deg: 2 },
  { name: 'Lima, Jakarta', deg: -10 },
  { name: 'São Paulo, Brisbane', deg: -25 },
  { name: 'Buenos Aires, Cape Town, Sydney', deg: -34 },
  { name: 'Melbourne, Auckland', deg: -38 },
  { name: 'Christchurch, Hobart', deg: -43 }
];
