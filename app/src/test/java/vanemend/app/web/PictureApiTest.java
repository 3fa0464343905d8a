package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

class PictureApiTest {
    private final Caller tam = TestServer.as("tam");
    private final String path = "/api/repairs/"
            + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Pictured")))
                    .text("id");

    private static byte[] picture(String format, int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < width; x++) {
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, x * 2 < width ? Color.ORANGE.getRGB() : Color.BLUE.getRGB());
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private Caller.Answer send(byte[] file) {
        return tam.file(path + "/pictures?moment=BEFORE&clientId=" + UUID.randomUUID(), "image/jpeg", file);
    }

    @Test
    void aPictureIsDrawnAnewSoThatNothingHiddenInTheFileIsKept() throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.write(picture("jpeg", 300, 200));
        file.write("<script>alert('hidden')</script>".getBytes(StandardCharsets.UTF_8));
        Caller.Answer all = send(file.toByteArray());
        assertThat(all.status()).isEqualTo(200);
        byte[] kept = tam.bytes("/api/pictures/" + all.text("0.id") + ".jpg");
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("script");
        BufferedImage read = ImageIO.read(new ByteArrayInputStream(kept));
        assertThat(read.getWidth()).isEqualTo(300);
        assertThat(read.getHeight()).isEqualTo(200);
        Color left = new Color(read.getRGB(40, 100));
        assertThat(left.getRed()).isGreaterThan(200);
        assertThat(left.getBlue()).isLessThan(60);
        Caller.Answer answer = tam.get("/api/pictures/" + all.text("0.id") + ".jpg");
        assertThat(answer.headers().firstValue("Content-Type")).contains("image/jpeg");
        assertThat(answer.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    }

    @Test
    void aLargeOneIsMadeSmallerAndPngIsTakenToo() throws Exception {
        Caller.Answer all = send(picture("png", 4000, 1000));
        assertThat(all.text("0.width")).isEqualTo("1600");
        assertThat(all.text("0.height")).isEqualTo("400");
    }

    @Test
    void sentTwiceItIsThereOnce() throws Exception {
        String once = path + "/pictures?moment=AFTER&clientId=" + UUID.randomUUID();
        byte[] file = picture("jpeg", 100, 100);
        tam.file(once, "image/jpeg", file);
        assertThat(tam.file(once, "image/jpeg", file).body()).hasSize(1);
    }

    @Test
    void whatIsNoPictureIsRefusedAndSaysWhatIsTaken() throws Exception {
        assertThat(send("GIF89a no picture".getBytes(StandardCharsets.UTF_8)).status())
                .isEqualTo(422);
        assertThat(send("<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(StandardCharsets.UTF_8))
                        .text("detail"))
                .isEqualTo("This is no picture that is taken here: JPEG or PNG is.");
        assertThat(send(picture("gif", 100, 100)).status()).isEqualTo(422);
        assertThat(send(picture("png", 20, 20)).text("detail"))
                .contains("20 × 20")
                .contains("at least 64");
        byte[] cut = picture("png", 300, 300);
        assertThat(send(java.util.Arrays.copyOf(cut, cut.length / 2)).text("detail"))
                .contains("whole");
        assertThat(send(claims(60_000, 60_000)).text("detail"))
                .as("never laid out in memory")
                .contains("60000 × 60000");
        assertThat(send(new byte[12_000_001]).text("detail")).contains("larger than 12 MB");
        assertThat(tam.get(path + "/pictures").body()).isEmpty();
        assertThat(tam.file(path + "/pictures?moment=NEVER&clientId=" + UUID.randomUUID(), "image/png", cut)
                        .status())
                .isEqualTo(400);
        assertThat(TestServer.stranger().get(path + "/pictures").status()).isEqualTo(401);
    }

    /** A PNG of a few bytes whose header claims to be enormous. */
    private static byte[] claims(int width, int height) {
        ByteBuffer head = ByteBuffer.allocate(17);
        head.put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(width).putInt(height);
        head.put(new byte[] {8, 2, 0, 0, 0});
        CRC32 crc = new CRC32();
        crc.update(head.array());
        ByteBuffer out = ByteBuffer.allocate(8 + 4 + 17 + 4);
        out.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'})
                .putInt(13)
                .put(head.array());
        out.putInt((int) crc.getValue());
        return out.array();
    }

    @Test
    void takenAwayItIsShownNoMoreAndTheAuditSaysWhy() throws Exception {
        String id = send(picture("jpeg", 100, 100)).text("0.id");
        assertThat(tam.post("/api/pictures/" + id + "/away", Map.of("reason", " "))
                        .status())
                .isEqualTo(422);
        assertThat(tam.post("/api/pictures/" + id + "/away", Map.of("reason", "Shows a bystander"))
                        .body())
                .isEmpty();
        assertThat(tam.get("/api/pictures/" + id + ".jpg").status()).isEqualTo(404);
        assertThat(TestServer.as("isla").get("/api/audit").body().toString())
                .contains("taken away: Shows a bystander")
                .contains("PICTURE");
    }
}
