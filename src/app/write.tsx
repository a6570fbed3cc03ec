export { WritePage as default } from '@/places/write/WritePage';
