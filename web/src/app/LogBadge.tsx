import { useLogQueue } from "../logbook/useLogQueue";

/** How many entries of the logbook wait on this device. They are sent from wherever the coach is. */
export default function LogBadge() {
  const waiting = useLogQueue().waiting.length;
  return waiting > 0 ? <span className="badge">{waiting}</span> : null;
}
