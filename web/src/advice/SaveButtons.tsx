import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";

interface Props {
  changed: boolean;
  pending: boolean;
  own: boolean;
  onSave: () => void;
  onDrop: () => void;
  onShipped: () => void;
}

/** Saves a list, discards its changes, or takes the built-in one again. */
export function SaveButtons({ changed, pending, own, onSave, onDrop, onShipped }: Props) {
  return (
    <Flex component="p" wrap align="center" gap="small" className="form-row">
      <Button type="primary" disabled={!changed} loading={pending} onClick={onSave}>
        <Trans>Save</Trans>
      </Button>
      {changed && (
        <Button onClick={onDrop}>
          <Trans>Discard the changes</Trans>
        </Button>
      )}
      {own && !changed && (
        <Button onClick={onShipped}>
          <Trans>Reset to the built-in list</Trans>
        </Button>
      )}
    </Flex>
  );
}
