import CheckCircleFilled from "@ant-design/icons/es/icons/CheckCircleFilled";
import CloseCircleFilled from "@ant-design/icons/es/icons/CloseCircleFilled";
import ExclamationCircleFilled from "@ant-design/icons/es/icons/ExclamationCircleFilled";
import InfoCircleFilled from "@ant-design/icons/es/icons/InfoCircleFilled";
import { t } from "@lingui/core/macro";
import { type AlertProps, Alert as AntAlert } from "antd";

const KINDS = {
  success: { Icon: CheckCircleFilled, word: t`Done` },
  info: { Icon: InfoCircleFilled, word: t`Note` },
  warning: { Icon: ExclamationCircleFilled, word: t`Caution` },
  error: { Icon: CloseCircleFilled, word: t`Error` },
};

interface Props extends Omit<AlertProps, "icon" | "showIcon" | "type"> {
  type: keyof typeof KINDS;
}

/** Shows a message across its place; its sign is read out as a word, and not by the name of a drawing. */
export function Alert({ type, ...rest }: Props) {
  const { Icon, word } = KINDS[type];
  return <AntAlert type={type} showIcon icon={<Icon aria-label={word} />} {...rest} />;
}
