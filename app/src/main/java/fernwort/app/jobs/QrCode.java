package fernwort.app.jobs;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/**
 * A QR code as an SVG path.
 *
 * @param size modules from side to side, quiet border included
 * @param path its dark modules
 */
record QrCode(int size, String path) {

  /** Encodes a text, readable with a quarter of it soiled. */
  static QrCode of(String text) {
    try {
      BitMatrix matrix =
          new QRCodeWriter()
              .encode(
                  text,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.Q,
                      EncodeHintType.MARGIN,
                      4));
      StringBuilder path = new StringBuilder();
      for (int y = 0; y < matrix.getHeight(); y++) {
        for (int x = 0; x < matrix.getWidth(); x++) {
          if (matrix.get(x, y)) {
            path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
          }
        }
      }
      return new QrCode(matrix.getWidth(), path.toString());
    } catch (WriterException e) {
      throw new IllegalStateException("The link is too long for a QR code", e);
    }
  }
}
