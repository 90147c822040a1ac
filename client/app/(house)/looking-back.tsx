export { LookingBackScreen as default } from '@/features/looking-back';
