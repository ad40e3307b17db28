package fernwort.app.sizing;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Sketch;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.kind.tank.Shape;
import fernwort.core.network.Water;
import fernwort.core.sizing.WhatFits;
import fernwort.core.sizing.WhatFits.Margins;
import fernwort.core.sizing.WhatFits.Space;
import java.util.List;
import java.util.Locale;

/** Which tank fits a space that somebody measured. */
final class SpacePage {

  private final Trip trip;

  private SpacePage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    return List.of(new SpacePage(trip).fits());
  }

  private Question fits() {
    Form form = trip.form();
    String kind =
        form.choice(
            "space",
            Says.THE_SPACE.text(),
            List.of(
                new Field.Option("square", Says.HAS_SQUARE_CORNERS.text()),
                new Field.Option("arch", Says.LIES_OVER_A_WHEEL_ARCH.text()),
                new Field.Option("taper", Says.GETS_LOWER_TOWARDS_ONE_END.text())));
    double length = length(form, "space-length", "Length", 1.0, Says.ALONG_THE_VEHICLE.text());
    double width = length(form, "space-width", "Width", 0.45, "Across.");
    double height = length(form, "space-height", "Height", 0.35, Says.AT_ITS_HIGHEST.text());
    Space space =
        switch (kind) {
          case "arch" ->
              new Space.OverArch(
                  length,
                  width,
                  height,
                  length(form, "space-before", Says.FROM_THE_REAR_END_TO_THE_ARCH.text(), 0.3, ""),
                  length(form, "space-arch", Says.LENGTH_OF_THE_ARCH.text(), 0.4, ""),
                  length(form, "space-arch-height", Says.HEIGHT_OF_THE_ARCH.text(), 0.2, ""));
          case "taper" ->
              new Space.Tapering(
                  length,
                  width,
                  height,
                  length(form, "space-low", Says.HEIGHT_AT_THE_LOW_END.text(), 0.2, ""));
          default -> new Space.Square(length, width, height);
        };
    Margins margins =
        new Margins(
            length(
                form,
                "space-around",
                Says.FREE_ON_EVERY_SIDE.text(),
                0.01,
                Says.PADDING_STRAPS_FROST_MAT.text()),
            length(
                form,
                "space-above",
                Says.FREE_ABOVE.text(),
                0.06,
                Says.VENT_AND_WHAT_IS_SCREWED.text()),
            length(
                form,
                "space-end",
                Says.FREE_AT_ONE_END.text(),
                0.08,
                Says.FITTINGS_AND_A_HAND_TO_TURN_THEM.text()),
            length(
                form,
                "space-wall",
                Says.WALL_OF_THE_TANK.text(),
                0.006,
                Says.ROTO_MOULDED_TANKS_6_TO_8_MM.text()));
    return Question.of(
        "fits",
        Says.WHAT_FITS_THIS_SPACE.text(),
        form,
        Says.LITRES_TO_THE_BRIM.text(),
        () -> fits(space, WhatFits.of(space, margins)));
  }

  private Question.Answer fits(Space space, List<WhatFits.Fit> fits) {
    Question.Table table =
        new Question.Table(
            Says.THE_LARGEST_OF_EACH_SHAPE.text(),
            List.of("shape", "outside", "holds", Says.WEIGHS_FULL.text(), "gives"),
            fits.stream().map(this::row).toList());
    List<Sketch> sketches =
        fits.stream()
            .map(f ->
                Sketch.of(
                    "%s, %s".formatted(f.words(), trip.show(Measure.VOLUME, f.volume())),
                    outside(f.shape()),
                    f.outline(),
                    space.outline()))
            .toList();
    return new Question.Answer(List.of(), List.of(table), List.of(), sketches);
  }

  private double length(Form form, String name, String label, double normal, String hint) {
    return form.amount(name, label, Measure.LENGTH, normal, hint);
  }

  private List<String> row(WhatFits.Fit fit) {
    return List.of(
        fit.words(),
        outside(fit.shape()),
        trip.show(Measure.VOLUME, fit.volume()),
        trip.show(Measure.MASS, fit.volume() * Water.DENSITY),
        String.format(
            Locale.ROOT, Says.DAYS_OF_FRESH.text(), fit.volume() / trip.habits().freshPerDay()));
  }

  private String outside(Shape shape) {
    return switch (shape) {
      case Shape.Box b -> sizes(b.length(), b.width(), b.height());
      case Shape.UprightCylinder c -> "Ø " + sizes(c.diameter(), c.height());
      case Shape.LyingCylinder c -> "Ø " + sizes(c.diameter(), c.length());
      case Shape.Prism p ->
          sizes(
              p.section().stream().mapToDouble(Shape.Corner::x).max().orElse(0),
              p.width(),
              p.section().stream().mapToDouble(Shape.Corner::z).max().orElse(0));
      case Shape.Straddling s -> {
        Shape.Block last = s.blocks().getLast();
        yield sizes(last.x() + last.length(), last.width(), last.height());
      }
      case Shape.DepthTable t -> "";
    };
  }

  private String sizes(double... sizes) {
    StringBuilder text = new StringBuilder();
    for (double size : sizes) {
      String shown = trip.show(Measure.LENGTH, size);
      text.append(text.isEmpty() ? "" : " × ").append(shown, 0, shown.indexOf(' '));
    }
    return text + " " + trip.units().lengthSign();
  }
}
