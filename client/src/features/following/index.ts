export { FollowPanel } from './follow-panel.tsx';
export { Followers } from './followers.tsx';
