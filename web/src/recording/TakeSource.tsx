import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { Alert } from "../ui/Alert";
import { FileButton } from "../ui/FileButton";
import { amount } from "../ui/words";
import type { Limits } from "./take";

interface Props extends Limits {
  problem: string | null;
  isAsking: boolean;
  onCamera: () => void;
  onMicrophone: () => void;
  onFile: (file: Blob) => void;
}

/** Where a recording comes from: the camera, the microphone, or a file. */
export function TakeSource({ problem, isAsking, longestMs, largestBytes, onCamera, onMicrophone, onFile }: Props) {
  return (
    <Flex vertical gap="middle">
      <Flex wrap gap="small">
        <Button type="primary" size="large" loading={isAsking} onClick={onCamera}>
          <Trans>Use the camera</Trans>
        </Button>
        <Button size="large" disabled={isAsking} onClick={onMicrophone}>
          <Trans>Use the microphone</Trans>
        </Button>
        <FileButton
          size="large"
          disabled={isAsking}
          label={t`A video or sound`}
          accept="video/*,audio/*"
          onFile={onFile}
        >
          <Trans>Choose a file</Trans>
        </FileButton>
      </Flex>
      {problem && <Alert type="warning" role="alert" title={problem} />}
      <p className="small">
        <Trans>
          Up to {longestMs / 1000} seconds and {amount(largestBytes)} are kept; a longer file is cut on this page next,
          and only that part leaves this device.
        </Trans>
      </p>
    </Flex>
  );
}
