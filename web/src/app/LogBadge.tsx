import { useLogQueue } from "../logbook/useLogQueue";

/** Shows how many logbook entries wait on this device, and sends them from any screen. */
export default function LogBadge() {
  const waiting = useLogQueue().waiting.length;
  return waiting > 0 ? <span className="badge">{waiting}</span> : null;
}
