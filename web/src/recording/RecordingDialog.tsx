import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import { Dialog } from "../ui/Dialog";
import { Loaded } from "../ui/Loaded";
import { useNotice } from "../ui/useNotice";
import { CameraView } from "./CameraView";
import { CutTake } from "./CutTake";
import { TakeSource } from "./TakeSource";
import { type Limits, type Take, takeOf } from "./take";
import { useCamera } from "./useCamera";
import { type Subject, useKeepRecording, useRecordings } from "./useRecordings";
import "./recording.css";

interface Props {
  of: Subject;
  /** The name of what it shows. */
  name: string;
  /** The recording that it takes the place of. */
  replaces: number | undefined;
  onClose: () => void;
}

/** Records a combination or a technique, or takes a file, and cuts it. */
export default function RecordingDialog(props: Props) {
  const recordings = useRecordings();
  return (
    <Loaded query={recordings} what={t`Loading the recordings`}>
      {({ longestMs, largestBytes }) => <Recorder {...props} {...{ longestMs, largestBytes }} />}
    </Loaded>
  );
}

function Recorder({ of, name, replaces, onClose, longestMs, largestBytes }: Props & Limits) {
  const notice = useNotice();
  const keep = useKeepRecording();
  const [take, setTake] = useState<Take | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [asksToDiscard, setAsksToDiscard] = useState(false);
  const look = async (file: Blob) => {
    setProblem(null);
    try {
      setTake(await takeOf(file));
    } catch (failed) {
      setProblem(failed instanceof Error ? failed.message : String(failed));
    }
  };
  const camera = useCamera(longestMs, (file) => void look(file));
  const again = () => {
    if (take) {
      URL.revokeObjectURL(take.url);
    }
    setTake(null);
    setAsksToDiscard(false);
    keep.reset();
  };
  const close = () => {
    // What was recorded is not lost by one press beside the dialog.
    if (take && !asksToDiscard) {
      setAsksToDiscard(true);
      return;
    }
    again();
    camera.close();
    onClose();
  };
  return (
    <Dialog title={t`Recording of ${name}`} onClose={close} width={680}>
      {take ? (
        <CutTake
          {...{ take, longestMs, largestBytes, asksToDiscard }}
          isSaving={keep.isPending}
          refused={keep.error}
          onKeep={(file) =>
            keep.mutate(
              { file, of, replaces },
              {
                onSuccess: () => {
                  notice.done(t`The recording is kept.`);
                  again();
                  onClose();
                },
              },
            )
          }
          onAgain={again}
          onDiscard={close}
          onStay={() => setAsksToDiscard(false)}
        />
      ) : camera.state.is === "off" || camera.state.is === "asking" ? (
        <TakeSource
          problem={problem ?? camera.problem}
          isAsking={camera.state.is === "asking"}
          {...{ longestMs, largestBytes }}
          onCamera={() => void camera.open("video")}
          onMicrophone={() => void camera.open("sound")}
          onFile={(file) => void look(file)}
        />
      ) : (
        <CameraView {...{ camera, longestMs }} />
      )}
      <p className="small recording-caution">
        <Trans>
          Film only people who have agreed to it, and children only with their parents’ consent. Keep to the rules of
          your gym and your country.
        </Trans>
      </p>
    </Dialog>
  );
}
