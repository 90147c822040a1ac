export { BrokeScreen } from './broke-screen.tsx';
export { MissingScreen } from './missing-screen.tsx';
export { Screen, Shell } from './shell.tsx';
export { PeopleStrip } from './people-strip.tsx';
