package fernwort.app.build;

import fernwort.core.build.drill.Template;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/** A template as a PDF, a page a sheet, at true size. */
final class TemplatePdf {

  /** Points in a millimetre. */
  private static final double POINTS = 72 / 25.4;

  /** The control points of a quarter of a circle, as a share of its radius. */
  private static final double ROUND = 0.5522847498;

  private final Template template;
  private final PDFont font = new PDType1Font(Standard14Fonts.FontName.HELVETICA);

  private TemplatePdf(Template template) {
    this.template = template;
  }

  static byte[] of(Template template) {
    try (PDDocument document = new PDDocument()) {
      TemplatePdf pdf = new TemplatePdf(template);
      for (Template.Page page : template.pages()) {
        pdf.add(document, page);
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void add(PDDocument document, Template.Page page) throws IOException {
    PDPage sheet =
        new PDPage(
            new PDRectangle(
                (float) (template.paper().width() * POINTS),
                (float) (template.paper().height() * POINTS)));
    document.addPage(sheet);
    try (PDPageContentStream out = new PDPageContentStream(document, sheet)) {
      for (Template.Mark mark : page.marks()) {
        switch (mark) {
          case Template.Segment s -> {
            out.setLineWidth(s.bold() ? 1.4f : 0.6f);
            out.moveTo(x(s.x1()), y(s.y1()));
            out.lineTo(x(s.x2()), y(s.y2()));
            out.stroke();
          }
          case Template.Ring r -> ring(out, r);
          case Template.Words w -> {
            out.beginText();
            out.setFont(font, (float) (w.size() * POINTS));
            out.newLineAtOffset(x(w.x()), y(w.y()));
            out.showText(plain(w.text()));
            out.endText();
          }
        }
      }
    }
  }

  private void ring(PDPageContentStream out, Template.Ring ring) throws IOException {
    out.setLineWidth(0.8f);
    out.setLineDashPattern(ring.dashed() ? new float[] {4, 3} : new float[] {}, 0);
    double r = ring.radius();
    double k = ROUND * r;
    double cx = ring.x();
    double cy = ring.y();
    out.moveTo(x(cx + r), y(cy));
    out.curveTo(x(cx + r), y(cy + k), x(cx + k), y(cy + r), x(cx), y(cy + r));
    out.curveTo(x(cx - k), y(cy + r), x(cx - r), y(cy + k), x(cx - r), y(cy));
    out.curveTo(x(cx - r), y(cy - k), x(cx - k), y(cy - r), x(cx), y(cy - r));
    out.curveTo(x(cx + k), y(cy - r), x(cx + r), y(cy - k), x(cx + r), y(cy));
    out.stroke();
    out.setLineDashPattern(new float[] {}, 0);
  }

  /** The letters that every printer has; others come out as a question mark. */
  private static String plain(String text) {
    StringBuilder plain = new StringBuilder();
    text.codePoints()
        .forEach(c -> plain.appendCodePoint(c >= 32 && c < 127 || c >= 161 && c < 256 ? c : '?'));
    return plain.toString();
  }

  private static float x(double mm) {
    return (float) (mm * POINTS);
  }

  private float y(double mm) {
    return (float) ((template.paper().height() - mm) * POINTS);
  }
}
