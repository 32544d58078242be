import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useRef } from "react";
import { Alert } from "../ui/Alert";
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
  const input = useRef<HTMLInputElement>(null);
  return (
    <Flex vertical gap="middle">
      <Flex wrap gap="small">
        <Button type="primary" size="large" loading={isAsking} onClick={onCamera}>
          <Trans>Use the camera</Trans>
        </Button>
        <Button size="large" disabled={isAsking} onClick={onMicrophone}>
          <Trans>Use the microphone</Trans>
        </Button>
        <Button size="large" disabled={isAsking} onClick={() => input.current?.click()}>
          <Trans>Choose a file</Trans>
        </Button>
      </Flex>
      <input
        ref={input}
        type="file"
        accept="video/*,audio/*"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={t`A video or sound`}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) {
            onFile(file);
          }
          event.target.value = "";
        }}
      />
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
