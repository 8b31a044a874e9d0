export default function Gearing() {
  return null
}
