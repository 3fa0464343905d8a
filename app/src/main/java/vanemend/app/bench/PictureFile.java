package vanemend.app.bench;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import vanemend.core.trade.Check;

/**
 * A picture as it is kept: read as a picture and drawn anew, so that nothing but the picture is kept, neither the place it was taken at nor
 * anything hidden in the file.
 *
 * @param width dots
 * @param height dots
 * @param sha256 of {@code jpeg}, hexadecimal
 */
public record PictureFile(byte[] jpeg, int width, int height, String sha256) {
    /** Largest file that is taken, bytes. */
    public static final int MOST_BYTES = 12_000_000;

    private static final Set<String> TAKEN = Set.of("jpeg", "png");
    private static final int LEAST_SIDE = 64;
    private static final long MOST_DOTS = 60_000_000;
    private static final int KEPT_SIDE = 1600;
    private static final float QUALITY = 0.85f;

    /** The picture in {@code file}; empty where it cannot be taken, with the reason in {@code check}. One at a time: each takes memory. */
    public static synchronized Optional<PictureFile> of(byte[] file, Check check) {
        if (file.length > MOST_BYTES) {
            check.refuse(
                    "picture",
                    "over " + MOST_BYTES / 1_000_000 + " MB",
                    "at most " + MOST_BYTES / 1_000_000 + " MB",
                    "The picture is larger than " + MOST_BYTES / 1_000_000 + " MB: take it smaller.");
            return Optional.empty();
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null || !TAKEN.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                check.refuse(
                        "picture",
                        "another kind of file",
                        "JPEG or PNG",
                        "This is no picture that is taken here: JPEG or PNG is.");
                return Optional.empty();
            }
            try {
                reader.setInput(in);
                return drawn(reader, check);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            check.refuse(
                    "picture",
                    "a broken file",
                    "a whole JPEG or PNG",
                    "The picture cannot be read; is the file whole?");
            return Optional.empty();
        }
    }

    private static Optional<PictureFile> drawn(ImageReader reader, Check check) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (Math.min(width, height) < LEAST_SIDE || (long) width * height > MOST_DOTS) {
            check.refuse(
                    "picture",
                    width + " × " + height,
                    LEAST_SIDE + " dots a side to " + MOST_DOTS / 1_000_000 + " million dots",
                    "The picture is " + width + " × " + height + " dots: expected at least " + LEAST_SIDE
                            + " a side and at most " + MOST_DOTS / 1_000_000 + " million.");
            return Optional.empty();
        }
        double scale = Math.min(1, (double) KEPT_SIDE / Math.max(width, height));
        ImageReadParam every = reader.getDefaultReadParam();
        // Every second, third, ... dot is enough for what is kept: a large picture never lies in memory whole.
        int step = Math.max(1, (int) Math.floor(1 / scale / 2));
        every.setSourceSubsampling(step, step, 0, 0);
        BufferedImage read = reader.read(0, every);
        BufferedImage kept = new BufferedImage(
                (int) Math.max(1, Math.round(width * scale)),
                (int) Math.max(1, Math.round(height * scale)),
                BufferedImage.TYPE_INT_RGB);
        Graphics2D g = kept.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, kept.getWidth(), kept.getHeight());
        g.drawImage(read, 0, 0, kept.getWidth(), kept.getHeight(), null);
        g.dispose();
        byte[] jpeg = jpeg(kept);
        return Optional.of(new PictureFile(jpeg, kept.getWidth(), kept.getHeight(), sha256(jpeg)));
    }

    private static byte[] jpeg(BufferedImage image) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
            writer.setOutput(out);
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
