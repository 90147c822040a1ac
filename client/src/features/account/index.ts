export { AwayScreen } from './away-screen.tsx';
export { SessionProvider, useDeviceId, useMe, useSession } from './session.tsx';
export { SignInScreen } from './sign-in-screen.tsx';
export { JoinScreen } from './join-screen.tsx';
export { FirstHouseScreen } from './first-house-screen.tsx';
export { suggestLooks, suggestMark, type LooksOf } from './suggest-looks.ts';
export { EndedScreen } from './ended-screen.tsx';
