// Makes psychrometrics.csv with a general library:  npm install psychrolib@1.1.1 && node psychrometrics.mjs > psychrometrics.csv
import { createRequire } from 'node:module';
const psychrometrics = createRequire(process.cwd() + '/')('psychrolib');
psychrometrics.SetUnitSystem(psychrometrics.SI);
console.log('celsius,humidity,pascal,dewPoint');
for (const celsius of [0.5, 1, 2, 3, 4, 6, 8, 10, 12]) {
  for (const humidity of [0.5, 0.65, 0.75, 0.8, 0.85, 0.9, 0.99]) {
    const pascal = psychrometrics.GetVapPresFromRelHum(celsius, humidity);
    const dewPoint = psychrometrics.GetTDewPointFromRelHum(celsius, humidity);
    if (dewPoint > 0) console.log([celsius, humidity, pascal.toFixed(4), dewPoint.toFixed(4)].join(','));
  }
}
