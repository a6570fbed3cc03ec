import { NoSuchPage } from '@/places/frame';

export default NoSuchPage;
