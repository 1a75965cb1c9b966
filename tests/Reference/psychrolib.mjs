// Saturation pressure, and dew point from temperature and humidity, by psychrolib (ASHRAE Handbook of Fundamentals 2017, chapter 1).
import psychrolib from 'psychrolib';

psychrolib.SetUnitSystem(psychrolib.SI);
const points = JSON.parse(process.argv[2]);
console.log(JSON.stringify(points.map(([t, rh]) => [psychrolib.GetSatVapPres(t), psychrolib.GetTDewPointFromRelHum(t, rh)])));
