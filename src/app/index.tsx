import { Redirect } from 'expo-router';

// Until Today is there, the Book is what one comes for.
export default function Home() {
  return <Redirect href="/book" />;
}
