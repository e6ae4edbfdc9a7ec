import { startApp } from '../tests/browser/app';

const app = await startApp('/tmp/dsb');
console.log(app.origin, app.data);
process.on('SIGTERM', () => void app.stop().then(() => process.exit(0)));
setInterval(() => undefined, 1000);
