export default function PrepareRoute() {
  return null;
}
