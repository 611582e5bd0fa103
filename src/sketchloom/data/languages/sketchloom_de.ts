<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
<context>
    <name></name>
    <message>
        <source>Open…</source>
        <translation>Öffnen …</translation>
    </message>
    <message>
        <source>picture file project load</source>
        <translation>Bild Datei Projekt laden</translation>
    </message>
    <message>
        <source>Paste a picture</source>
        <translation>Ein Bild einfügen</translation>
    </message>
    <message>
        <source>clipboard</source>
        <translation>Zwischenablage</translation>
    </message>
    <message>
        <source>Save the project</source>
        <translation>Projekt speichern</translation>
    </message>
    <message>
        <source>keep store</source>
        <translation>behalten sichern</translation>
    </message>
    <message>
        <source>Save the project as…</source>
        <translation>Projekt speichern unter …</translation>
    </message>
    <message>
        <source>copy name</source>
        <translation>Kopie Name</translation>
    </message>
    <message>
        <source>Write cut files…</source>
        <translation>Schneidedateien schreiben …</translation>
    </message>
    <message>
        <source>export release svg output</source>
        <translation>exportieren Ausgabe svg</translation>
    </message>
    <message>
        <source>Copy as SVG</source>
        <translation>Als SVG kopieren</translation>
    </message>
    <message>
        <source>clipboard vector</source>
        <translation>Zwischenablage Vektor</translation>
    </message>
    <message>
        <source>Copy as a picture</source>
        <translation>Als Bild kopieren</translation>
    </message>
    <message>
        <source>clipboard png image</source>
        <translation>Zwischenablage PNG Bild</translation>
    </message>
    <message>
        <source>Print at true size…</source>
        <translation>In wahrer Größe drucken…</translation>
    </message>
    <message>
        <source>paper pages pdf poster</source>
        <translation>Papier Seiten PDF Plakat</translation>
    </message>
    <message>
        <source>Open a folder…</source>
        <translation>Ordner öffnen…</translation>
    </message>
    <message>
        <source>several works batch pictures</source>
        <translation>mehrere Werke Stapel Bilder</translation>
    </message>
    <message>
        <source>Close the window</source>
        <translation>Fenster schließen</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>exit end leave close all</source>
        <translation>Ende verlassen alles schließen</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>take back</source>
        <translation>zurücknehmen</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>again</source>
        <translation>noch einmal</translation>
    </message>
    <message>
        <source>Zoom in</source>
        <translation>Größer zeigen</translation>
    </message>
    <message>
        <source>larger</source>
        <translation>größer</translation>
    </message>
    <message>
        <source>Zoom out</source>
        <translation>Kleiner zeigen</translation>
    </message>
    <message>
        <source>smaller</source>
        <translation>kleiner</translation>
    </message>
    <message>
        <source>Fit to the bench</source>
        <translation>In die Werkbank einpassen</translation>
    </message>
    <message>
        <source>whole all zoom</source>
        <translation>ganz alles Zoom</translation>
    </message>
    <message>
        <source>True size</source>
        <translation>Wahre Größe</translation>
    </message>
    <message>
        <source>100 per cent zoom</source>
        <translation>100 Prozent Zoom</translation>
    </message>
    <message>
        <source>Curtain between source and cut</source>
        <translation>Vorhang zwischen Quelle und Schnitt</translation>
    </message>
    <message>
        <source>compare before after</source>
        <translation>vergleichen vorher nachher</translation>
    </message>
    <message>
        <source>Grid</source>
        <translation>Raster</translation>
    </message>
    <message>
        <source>lines ruler</source>
        <translation>Linien Lineal</translation>
    </message>
    <message>
        <source>Next ground behind the work</source>
        <translation>Nächster Grund hinter der Arbeit</translation>
    </message>
    <message>
        <source>background light dark</source>
        <translation>Hintergrund hell dunkel</translation>
    </message>
    <message>
        <source>Where the picture is unlike the cut</source>
        <translation>Wo das Bild anders ist als der Schnitt</translation>
    </message>
    <message>
        <source>compare errors</source>
        <translation>vergleichen Fehler</translation>
    </message>
    <message>
        <source>Variants side by side</source>
        <translation>Varianten nebeneinander</translation>
    </message>
    <message>
        <source>alternatives compare</source>
        <translation>Alternativen vergleichen</translation>
    </message>
    <message>
        <source>Keep this as an alternative</source>
        <translation>Als Fassung behalten</translation>
    </message>
    <message>
        <source>variant version remember</source>
        <translation>Variante Fassung merken</translation>
    </message>
    <message>
        <source>Switch between mm and inches</source>
        <translation>Zwischen mm und Zoll wechseln</translation>
    </message>
    <message>
        <source>unit millimetres</source>
        <translation>Einheit Millimeter Zoll</translation>
    </message>
    <message>
        <source>Trace again</source>
        <translation>Noch einmal nachzeichnen</translation>
    </message>
    <message>
        <source>evaluate renew</source>
        <translation>berechnen erneuern</translation>
    </message>
    <message>
        <source>Source</source>
        <translation>Quelle</translation>
    </message>
    <message>
        <source>stage picture size</source>
        <translation>Schritt Bild Größe</translation>
    </message>
    <message>
        <source>Trace</source>
        <translation>Nachzeichnen</translation>
    </message>
    <message>
        <source>stage reading colours</source>
        <translation>Schritt Lesart Farben</translation>
    </message>
    <message>
        <source>Clean</source>
        <translation>Säubern</translation>
    </message>
    <message>
        <source>stage regions edit</source>
        <translation>Schritt Flächen bearbeiten</translation>
    </message>
    <message>
        <source>Layers</source>
        <translation>Ebenen</translation>
    </message>
    <message>
        <source>stage stack order</source>
        <translation>Schritt Stapel Reihenfolge</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>stage machine plan</source>
        <translation>Schritt Maschine Plan</translation>
    </message>
    <message>
        <source>Release</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>stage files</source>
        <translation>Schritt Dateien</translation>
    </message>
    <message>
        <source>Next step</source>
        <translation>Nächster Schritt</translation>
    </message>
    <message>
        <source>continue on</source>
        <translation>weiter fortfahren</translation>
    </message>
    <message>
        <source>Search everything</source>
        <translation>Alles durchsuchen</translation>
    </message>
    <message>
        <source>find command help</source>
        <translation>finden Befehl Hilfe</translation>
    </message>
    <message>
        <source>Fold or unfold the findings</source>
        <translation>Befunde auf- oder zuklappen</translation>
    </message>
    <message>
        <source>warnings list</source>
        <translation>Warnungen Liste</translation>
    </message>
    <message>
        <source>Fold the panel away or bring it back</source>
        <translation>Das Feld rechts wegklappen oder zurückholen</translation>
    </message>
    <message>
        <source>settings hide</source>
        <translation>Einstellungen verbergen</translation>
    </message>
    <message>
        <source>Keys…</source>
        <translation>Tasten…</translation>
    </message>
    <message>
        <source>shortcuts keyboard change</source>
        <translation>Kürzel Tastatur ändern</translation>
    </message>
    <message>
        <source>Preferences…</source>
        <translation>Vorlieben…</translation>
    </message>
    <message>
        <source>settings options theme dark language units</source>
        <translation>Einstellungen Optionen dunkel Sprache Einheiten</translation>
    </message>
    <message>
        <source>Logbook</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>jobs test cuts stock history diary</source>
        <translation>Aufträge Probeschnitte Vorrat Verlauf Tagebuch</translation>
    </message>
    <message>
        <source>Help and keys</source>
        <translation>Hilfe und Tasten</translation>
    </message>
    <message>
        <source>manual</source>
        <translation>Anleitung</translation>
    </message>
    <message>
        <source>Help to this stage</source>
        <translation>Hilfe zu diesem Schritt</translation>
    </message>
    <message>
        <source>manual pictures page</source>
        <translation>Handbuch Bilder Seite</translation>
    </message>
    <message>
        <source>Glossary</source>
        <translation>Wörterbuch</translation>
    </message>
    <message>
        <source>words terms meaning</source>
        <translation>Wörter Begriffe Bedeutung</translation>
    </message>
    <message>
        <source>A first job, step by step</source>
        <translation>Ein erster Auftrag, Schritt für Schritt</translation>
    </message>
    <message>
        <source>tutorial learn introduction</source>
        <translation>lernen Einführung Anleitung</translation>
    </message>
    <message>
        <source>About Sketch Loom</source>
        <translation>Über Sketch Loom</translation>
    </message>
    <message>
        <source>version licence libraries</source>
        <translation>Version Lizenz Bibliotheken</translation>
    </message>
    <message>
        <source>File</source>
        <translation>Datei</translation>
    </message>
    <message>
        <source>Edit</source>
        <translation>Bearbeiten</translation>
    </message>
    <message>
        <source>Tools</source>
        <translation>Werkzeuge</translation>
    </message>
    <message>
        <source>View</source>
        <translation>Ansicht</translation>
    </message>
    <message>
        <source>Help</source>
        <translation>Hilfe</translation>
    </message>
    <message>
        <source>Wheel, + and −</source>
        <translation>Mausrad, + und −</translation>
    </message>
    <message>
        <source>Zoom to the pointer</source>
        <translation>Zum Zeiger hin vergrößern</translation>
    </message>
    <message>
        <source>Drag, arrow keys, two fingers</source>
        <translation>Ziehen, Pfeiltasten, zwei Finger</translation>
    </message>
    <message>
        <source>Pan</source>
        <translation>Verschieben</translation>
    </message>
    <message>
        <source>Arrow keys with a tool held</source>
        <translation>Pfeiltasten mit einem Werkzeug</translation>
    </message>
    <message>
        <source>A cross moves: 8 pixels, with Shift 1 mm; digits typed say a place</source>
        <translation>Ein Kreuz geht: 8 Pixel, mit Umschalt 1 mm; getippte Ziffern nennen einen Ort</translation>
    </message>
    <message>
        <source>Space, Shift+Space, Ctrl+Space</source>
        <translation>Leertaste, Umschalt+Leertaste, Strg+Leertaste</translation>
    </message>
    <message>
        <source>A click at the cross; one that adds; hold it down until Space</source>
        <translation>Ein Klick am Kreuz; einer, der hinzunimmt; gedrückt halten bis zur Leertaste</translation>
    </message>
    <message>
        <source>In Clean: the next larger, the next smaller region</source>
        <translation>Im Säubern: die nächstgrößere, die nächstkleinere Fläche</translation>
    </message>
    <message>
        <source>Let go of what is chosen; put the tool down; cancel what runs</source>
        <translation>Gewähltes loslassen; das Werkzeug weglegen; abbrechen, was läuft</translation>
    </message>
    <message>
        <source>[ and ]</source>
        <translation>[ und ]</translation>
    </message>
    <message>
        <source>Move the curtain</source>
        <translation>Den Vorhang bewegen</translation>
    </message>
    <message>
        <source>Hold O</source>
        <translation>O halten</translation>
    </message>
    <message>
        <source>The source alone</source>
        <translation>Die Quelle allein</translation>
    </message>
    <message>
        <source>Move the chosen layer</source>
        <translation>Die gewählte Ebene bewegen</translation>
    </message>
    <message>
        <source>Ctrl+↑, Ctrl+↓</source>
        <translation>Strg+↑, Strg+↓</translation>
    </message>
    <message>
        <source>Enter, Backspace</source>
        <translation>Eingabe, Rücktaste</translation>
    </message>
    <message>
        <source>Take what a tool on the bench drew; one point back</source>
        <translation>Nehmen, was ein Werkzeug auf der Werkbank gezeichnet hat; einen Punkt zurück</translation>
    </message>
    <message>
        <source>. and ,</source>
        <translation>. und ,</translation>
    </message>
    <message>
        <source>T, Delete</source>
        <translation>T, Entf</translation>
    </message>
    <message>
        <source>In Sheets: turn the chosen part; let it be placed again</source>
        <translation>In Bogen: das gewählte Teil drehen; es wieder platzieren lassen</translation>
    </message>
    <message>
        <source>N, Page up, Page down</source>
        <translation>N, Bild auf, Bild ab</translation>
    </message>
    <message>
        <source>In Sheets: the next part; the sheet before, the next sheet</source>
        <translation>In Bogen: das nächste Teil; der Bogen davor, der nächste</translation>
    </message>
    <message>
        <source>
&lt;h3&gt;From a picture to cut files&lt;/h3&gt;
&lt;p&gt;&lt;b&gt;1. Source.&lt;/b&gt; Drop a picture on the window, paste one, or press Open. Set the finished width: everything
follows. The judgement says what the picture can give before you spend time on it, and each point has a button that
mends it: a page is flattened, lines are straightened, light is levelled. Under &lt;i&gt;Background&lt;/i&gt;, a stroke over what
is to stay and one over what is to go cut a thing out of its surroundings; the hatched part is left out.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;2. Trace.&lt;/b&gt; The program picks the reading. &lt;i&gt;Colour&lt;/i&gt;: each rung of the ladder says what the next
smaller number of colours loses and saves. &lt;i&gt;Tone&lt;/i&gt;: drag along the curve; in the marked bands the drawing stands
still. &lt;i&gt;Line&lt;/i&gt;: the middle of each stroke for a pen, or as shapes of one width. &lt;i&gt;Photo&lt;/i&gt;: shading in a few
tones. The smallest detail decides what is too small to weed; what it cost is listed and can be brought back. Press V
to see variants side by side with their pieces, sheets, nodes and millimetres. &lt;i&gt;Outlines&lt;/i&gt; says how far curves may
keep from the pixels: fewer nodes are cleaner sweeps and a calmer blade.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;3. Clean.&lt;/b&gt; Click what you want to change: a region, a shape, a gap; another click goes on to the stroke or the
line around it. Beside it stands what can be done to it, with its keys; a drag takes all in a box, Shift adds.
&lt;i&gt;Sweep&lt;/i&gt; drops, opens or colours regions at a click. Everything else is under &lt;i&gt;More&lt;/i&gt;, and found by its words
(Ctrl+K): &lt;i&gt;Gaps and ink&lt;/i&gt; closes outlines in their own width; &lt;i&gt;Strokes&lt;/i&gt; are taken away, thinned, extended or
joined as things; &lt;i&gt;Split lines&lt;/i&gt; part a tail from a body; &lt;i&gt;Shapes and words&lt;/i&gt; are regions like any other;
&lt;i&gt;Mirror one half&lt;/i&gt; makes both alike to the last curve; &lt;i&gt;Boundaries by hand&lt;/i&gt; are brushed along and made
straight, round or smooth, for both neighbours at once; &lt;i&gt;Narrow places&lt;/i&gt; are
thickened where they are; a &lt;i&gt;backing or rim&lt;/i&gt; is a sheet of its own. What was decided is found again after
another cut-off, number of colours or crop; what is not is told.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;4. Layers.&lt;/b&gt; One sheet a colour, base at the bottom. The proposed order cuts least. Drag sheets, leave one
out, merge two, give one another cut colour. &lt;i&gt;Stacked&lt;/i&gt; is easy to lay, &lt;i&gt;fitted&lt;/i&gt; is thin and flat,
&lt;i&gt;windowed&lt;/i&gt; has fewest pieces, &lt;i&gt;lean&lt;/i&gt; cuts least: the table has the figures of all four, a click into a
column takes that way. &lt;i&gt;Pull apart&lt;/i&gt; shows the sheets above each other,
&lt;i&gt;Section&lt;/i&gt; the stack from the side along a line you drag. Say what a sheet is cut from, and what its material
forbids is told.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;5. Sheets.&lt;/b&gt; Say which machine cuts, and how large the work is to be: by a side, by the place it goes, by its
smallest detail. What is larger than any carrier is divided where it is seen least; film for a hot press is mirrored.
Drag a part to another place or another sheet, move a seam, read off time, film and cost.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;6. Release.&lt;/b&gt; Write one SVG with all layers, one file a layer, or one file a sheet. All are in true
millimetres.&lt;/p&gt;
&lt;p&gt;Drag the &lt;b&gt;curtain&lt;/b&gt; across the bench to compare the source with the cut. Point at a region and the bench says
what it is. The line at the bottom lists what may go wrong, goes to the place, and mends what it can.&lt;/p&gt;
&lt;p&gt;Everything can be undone, and every change is kept: if the program ends without saving, the next start offers
your work again.&lt;/p&gt;
</source>
        <translation>
&lt;h3&gt;Vom Bild zu Schneidedateien&lt;/h3&gt;
&lt;p&gt;&lt;b&gt;1. Quelle.&lt;/b&gt; Lass ein Bild auf das Fenster fallen, füge eines ein oder drücke Öffnen. Stelle die fertige Breite
ein: alles folgt ihr. Das Urteil sagt, was das Bild hergibt, bevor du Zeit hineinsteckst, und jeder Punkt hat einen
Knopf, der hilft: eine Seite wird flach, Linien werden gerade, Licht wird eben. Unter &lt;i&gt;Hintergrund&lt;/i&gt; schneidet ein
Strich über das, was bleibt, und einer über das, was geht, ein Ding aus seiner Umgebung; das Schraffierte bleibt
weg.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;2. Nachzeichnen.&lt;/b&gt; Das Programm wählt die Lesart. &lt;i&gt;Farbe&lt;/i&gt;: jede Sprosse der Leiter sagt, was eine Farbe
weniger kostet und spart. &lt;i&gt;Ton&lt;/i&gt;: ziehe an der Kurve entlang; in den markierten Bändern steht die Zeichnung still.
&lt;i&gt;Linie&lt;/i&gt;: die Mitte jedes Strichs für einen Stift, oder Formen gleicher Breite. &lt;i&gt;Foto&lt;/i&gt;: Schattierung in
wenigen Tönen. Das kleinste Detail entscheidet, was zu klein zum Entgittern ist; was es gekostet hat, steht in einer
Liste und lässt sich zurückholen. V zeigt Varianten nebeneinander mit ihren Teilen, Bogen, Knoten und Millimetern.
&lt;i&gt;Umrisse&lt;/i&gt; sagt, wie weit Kurven von den Pixeln abweichen dürfen: weniger Knoten sind klarere Schwünge und ein
ruhigeres Messer.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;3. Säubern.&lt;/b&gt; Klick an, was du ändern willst: eine Fläche, eine Form, eine Lücke; noch ein Klick geht weiter zum
Strich oder zur Linie darum. Daneben steht, was sich tun lässt, mit den Tasten; Ziehen nimmt alles in einem Kasten,
Umschalt nimmt hinzu. &lt;i&gt;Streichen&lt;/i&gt; lässt Flächen mit einem Klick weg, öffnet oder färbt sie. Alles andere steht
unter &lt;i&gt;Mehr&lt;/i&gt; und wird nach seinen Wörtern gefunden (Strg+K): &lt;i&gt;Lücken und Tinte&lt;/i&gt; schließt Umrisse in ihrer
eigenen Breite; &lt;i&gt;Striche&lt;/i&gt; werden weggenommen, verdünnt, verlängert oder verbunden; &lt;i&gt;Teilungslinien&lt;/i&gt; trennen
einen Schwanz von einem Körper; &lt;i&gt;Formen und Wörter&lt;/i&gt; sind Flächen wie alle anderen; &lt;i&gt;Eine Hälfte spiegeln&lt;/i&gt;
macht beide bis zur letzten Kurve gleich; &lt;i&gt;Grenzen von Hand&lt;/i&gt; werden entlanggefahren und gerade, rund oder glatt
gemacht, für beide Nachbarn zugleich; &lt;i&gt;Schmale Stellen&lt;/i&gt; werden dort verdickt, wo sie sind; ein &lt;i&gt;Rücken oder
Rand&lt;/i&gt; ist ein eigener Bogen. Was entschieden wurde, wird nach anderem Schwellwert, anderer Farbzahl oder anderem
Ausschnitt wiedergefunden; was nicht, wird gesagt.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;4. Ebenen.&lt;/b&gt; Ein Bogen je Farbe, die Grundlage unten. Die vorgeschlagene Reihenfolge schneidet am wenigsten.
Ziehe Bogen, lass einen weg, vereine zwei, gib einem eine andere Schnittfarbe. &lt;i&gt;Gestapelt&lt;/i&gt; legt sich leicht,
&lt;i&gt;eingepasst&lt;/i&gt; ist dünn und flach, &lt;i&gt;mit Fenstern&lt;/i&gt; hat die wenigsten Teile, &lt;i&gt;sparsam&lt;/i&gt; schneidet am
wenigsten: die Tabelle hat die Zahlen aller vier, ein Klick in eine Spalte nimmt diese Weise. &lt;i&gt;Auffächern&lt;/i&gt;
zeigt die Bogen übereinander, &lt;i&gt;Seitenschnitt&lt;/i&gt; den Stapel von der Seite an einer Linie, die du ziehst. Sag, woraus
ein Bogen geschnitten wird, und es wird gesagt, was sein Material verbietet.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;5. Bogen.&lt;/b&gt; Sag, welche Maschine schneidet und wie groß die Arbeit werden soll: nach einer Seite, nach dem
Platz, wohin sie kommt, nach dem kleinsten Detail. Was größer ist als jeder Träger, wird geteilt, wo man es am
wenigsten sieht; Folie für die Heißpresse wird gespiegelt. Zieh ein Teil an einen anderen Platz oder auf einen anderen
Bogen, verschieb eine Naht, lies Zeit, Folie und Kosten ab.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;6. Ausgabe.&lt;/b&gt; Schreib ein SVG mit allen Ebenen, eine Datei je Ebene oder eine je Bogen. Alle sind in wahren
Millimetern.&lt;/p&gt;
&lt;p&gt;Ziehe den &lt;b&gt;Vorhang&lt;/b&gt; über die Werkbank, um die Quelle mit dem Schnitt zu vergleichen. Zeige auf eine Fläche, und
die Werkbank sagt, was sie ist. Die Zeile unten sagt, was schiefgehen kann, geht zur Stelle und hilft, wo sie kann.&lt;/p&gt;
&lt;p&gt;Alles lässt sich zurücknehmen, und jede Änderung bleibt erhalten: endet das Programm ohne Speichern, bietet der
nächste Start deine Arbeit wieder an.&lt;/p&gt;
</translation>
    </message>
    <message>
        <source>There is not enough memory for this. Use a smaller picture.</source>
        <translation>Dafür reicht der Speicher nicht. Nimm ein kleineres Bild.</translation>
    </message>
    <message>
        <source>Something went wrong inside the program; the work itself is safe. Undo the last change and try another setting.</source>
        <translation>Im Programm ist etwas schiefgegangen; die Arbeit selbst ist sicher. Nimm die letzte Änderung zurück und versuche eine andere Einstellung.</translation>
    </message>
    <message>
        <source>Stopped.</source>
        <translation>Abgebrochen.</translation>
    </message>
    <message>
        <source>given together with --weeding-frame, in which the helper cuts lie</source>
        <translation>nur zusammen mit --weeding-frame, in dem die Hilfsschnitte liegen</translation>
    </message>
    <message>
        <source>given together with --gather</source>
        <translation>nur zusammen mit --gather</translation>
    </message>
    <message>
        <source>like-ground only beside --laid-on, which says what the ground is</source>
        <translation>like-ground nur neben --laid-on, das sagt, was der Grund ist</translation>
    </message>
    <message>
        <source>one of the layers: {named}</source>
        <translation>eine der Ebenen: {named}</translation>
    </message>
    <message>
        <source>used with line art, read by --mode tone</source>
        <translation>für Strichzeichnungen, gelesen mit --mode tone</translation>
    </message>
    <message>
        <source>used on a drawing whose lines enclose regions of several colours</source>
        <translation>für eine Zeichnung, deren Linien Flächen in mehreren Farben einschließen</translation>
    </message>
    <message>
        <source>used on a drawing whose lines enclose regions</source>
        <translation>für eine Zeichnung, deren Linien Flächen einschließen</translation>
    </message>
    <message>
        <source>a place within the work, which is {width:.1f} by {height:.1f} mm</source>
        <translation>eine Stelle in der Arbeit, die {width:.1f} mal {height:.1f} mm groß ist</translation>
    </message>
    <message>
        <source>a place such as 34,20.5 in mm, then what becomes of it</source>
        <translation>eine Stelle wie 34,20.5 in mm, dann was aus ihr wird</translation>
    </message>
    <message>
        <source>a whole number from {low} to {high}</source>
        <translation>eine ganze Zahl von {low} bis {high}</translation>
    </message>
    <message>
        <source>{words}, or three or five shares from 0 to 1 such as 1,0.5,0</source>
        <translation>{words} oder drei oder fünf Anteile von 0 bis 1 wie 1,0.5,0</translation>
    </message>
    <message>
        <source>{others} or a colour written as #rrggbb</source>
        <translation>{others} oder eine Farbe, geschrieben als #rrggbb</translation>
    </message>
    <message>
        <source>a colour written as #rrggbb</source>
        <translation>eine Farbe, geschrieben als #rrggbb</translation>
    </message>
    <message>
        <source>one of {choices}</source>
        <translation>eines von {choices}</translation>
    </message>
    <message>
        <source>{auto} or </source>
        <translation>{auto} oder </translation>
    </message>
    <message>
        <source>{auto}a whole number from {low} to {high}</source>
        <translation>{auto}eine ganze Zahl von {low} bis {high}</translation>
    </message>
    <message>
        <source>given for a router and a recipe with operations</source>
        <translation>für eine Fräse und ein Rezept mit Arbeitsgängen</translation>
    </message>
    <message>
        <source>a size such as 305x305mm</source>
        <translation>eine Größe wie 305x305mm</translation>
    </message>
    <message>
        <source>no page with four corners was found in it.</source>
        <translation>darin wurde keine Seite mit vier Ecken gefunden.</translation>
    </message>
    <message>
        <source>Leave out --flatten-page, or give the corners with --corners.</source>
        <translation>Lassen Sie --flatten-page weg, oder geben Sie die Ecken mit --corners an.</translation>
    </message>
    <message>
        <source>four places X,Y in px of the picture</source>
        <translation>vier Stellen X,Y in px des Bildes</translation>
    </message>
    <message>
        <source>left out beside --recipe, which decides it</source>
        <translation>weggelassen neben --recipe, das darüber entscheidet</translation>
    </message>
    <message>
        <source>is larger than a recipe can be.</source>
        <translation>ist größer, als ein Rezept sein kann.</translation>
    </message>
    <message>
        <source>is not a recipe: it holds no JSON.</source>
        <translation>ist kein Rezept: es enthält kein JSON.</translation>
    </message>
    <message>
        <source>Write one with --write-recipe.</source>
        <translation>Schreibe eines mit --write-recipe.</translation>
    </message>
    <message>
        <source>a text of at most {most} letters</source>
        <translation>ein Text von höchstens {most} Buchstaben</translation>
    </message>
    <message>
        <source>between {low} and {high}</source>
        <translation>zwischen {low} und {high}</translation>
    </message>
    <message>
        <source>true or false</source>
        <translation>wahr oder falsch</translation>
    </message>
    <message>
        <source>places as two shares between 0 and 1</source>
        <translation>Stellen als zwei Anteile zwischen 0 und 1</translation>
    </message>
    <message>
        <source>{least} to {most} places</source>
        <translation>{least} bis {most} Stellen</translation>
    </message>
    <message>
        <source>{path}: {why} {hint}</source>
        <translation>{path}: {why} {hint}</translation>
    </message>
    <message>
        <source>{path}: {why}</source>
        <translation>{path}: {why}</translation>
    </message>
    <message>
        <source>{field} must be {expected}; got {got}.</source>
        <translation>{field} muss sein: {expected}; gegeben: {got}.</translation>
    </message>
    <message>
        <source>texts of whole letters</source>
        <translation>Texte aus ganzen Buchstaben</translation>
    </message>
    <message>
        <source>half a letter</source>
        <translation>ein halber Buchstabe</translation>
    </message>
    <message>
        <source>not nested so deep</source>
        <translation>nicht so tief verschachtelt</translation>
    </message>
    <message>
        <source>an object with all its fields</source>
        <translation>ein Objekt mit allen seinen Feldern</translation>
    </message>
    <message>
        <source>a number</source>
        <translation>eine Zahl</translation>
    </message>
    <message>
        <source>a whole number</source>
        <translation>eine ganze Zahl</translation>
    </message>
    <message>
        <source>a text</source>
        <translation>ein Text</translation>
    </message>
    <message>
        <source>a list</source>
        <translation>eine Liste</translation>
    </message>
    <message>
        <source>an object</source>
        <translation>ein Objekt</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>between {least} and {most}</source>
        <translation>zwischen {least} und {most}</translation>
    </message>
    <message>
        <source>0, or between {least} and {most}</source>
        <translation>0, oder zwischen {least} und {most}</translation>
    </message>
    <message>
        <source>{least} to {most} of them</source>
        <translation>{least} bis {most} davon</translation>
    </message>
    <message>
        <source>a number of 0 or more with mm, cm or in, such as &quot;120 mm&quot;</source>
        <translation>eine Zahl ab 0 mit mm, cm oder in, wie „120 mm“</translation>
    </message>
    <message>
        <source>a number above 0 with mm, cm or in, such as &quot;120 mm&quot;</source>
        <translation>eine Zahl über 0 mit mm, cm oder in, wie „120 mm“</translation>
    </message>
    <message>
        <source>The fitting tolerance must be above 0 px; got {tolerance_px!r}.</source>
        <translation>Die Toleranz des Anpassens muss über 0 px liegen; gegeben: {tolerance_px!r}.</translation>
    </message>
    <message>
        <source>A boundary point is not a finite number.</source>
        <translation>Ein Randpunkt ist keine endliche Zahl.</translation>
    </message>
    <message>
        <source>A span to fit has fewer than two points.</source>
        <translation>Ein Abschnitt hat weniger als zwei Punkte.</translation>
    </message>
    <message>
        <source>the stretch is shorter than three pixels</source>
        <translation>das Stück ist kürzer als drei Pixel</translation>
    </message>
    <message>
        <source>both ends lie in one place; make it a circle</source>
        <translation>beide Enden liegen an einer Stelle; mach einen Kreis daraus</translation>
    </message>
    <message>
        <source>the ends of the stretch stay; choose a longer one to move them</source>
        <translation>die Enden der Strecke bleiben; wählen Sie eine längere, um sie zu bewegen</translation>
    </message>
    <message>
        <source>the stretch ends there</source>
        <translation>die Strecke endet dort</translation>
    </message>
    <message>
        <source>there is a node already</source>
        <translation>dort ist schon ein Knoten</translation>
    </message>
    <message>
        <source>there is no node to take out</source>
        <translation>es gibt keinen Knoten, der herausgenommen werden könnte</translation>
    </message>
    <message>
        <source>the stretch has no corner between its ends</source>
        <translation>das Stück hat zwischen seinen Enden keine Ecke</translation>
    </message>
    <message>
        <source>both ends run the same way and do not meet</source>
        <translation>beide Enden laufen gleich und treffen sich nicht</translation>
    </message>
    <message>
        <source>both ends run away from each other and do not meet</source>
        <translation>beide Enden laufen auseinander und treffen sich nicht</translation>
    </message>
    <message>
        <source>Writing</source>
        <translation>Schreiben</translation>
    </message>
    <message>
        <source>is one of the files that are read; an output needs a name of its own.</source>
        <translation>ist eine der Dateien, die gelesen werden; eine Ausgabe braucht einen eigenen Namen.</translation>
    </message>
    <message>
        <source>would be written twice, the second time over {other}.</source>
        <translation>würde zweimal geschrieben, beim zweiten Mal über {other}.</translation>
    </message>
    <message>
        <source>is there already, and stays as it is.</source>
        <translation>ist schon da und bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>Choose another folder, or add --replace on the command line.</source>
        <translation>Wähle einen anderen Ordner, oder gib auf der Befehlszeile --replace dazu.</translation>
    </message>
    <message>
        <source>is a folder; give the name of a file in it.</source>
        <translation>ist ein Ordner; nenne eine Datei darin.</translation>
    </message>
    <message>
        <source>is a device, not a file; give the name of a file.</source>
        <translation>ist ein Gerät, keine Datei; nenne eine Datei.</translation>
    </message>
    <message>
        <source>the folder {folder} does not exist.</source>
        <translation>den Ordner {folder} gibt es nicht.</translation>
    </message>
    <message>
        <source>could not be written ({why}).</source>
        <translation>konnte nicht geschrieben werden ({why}).</translation>
    </message>
    <message>
        <source>not written: its suffix is none that this program writes ({suffixes}).</source>
        <translation>nicht geschrieben: diese Endung schreibt das Programm nicht ({suffixes}).</translation>
    </message>
    <message>
        <source>Layered SVG</source>
        <translation>SVG mit Ebenen</translation>
    </message>
    <message>
        <source>Looking for faults</source>
        <translation>Suche nach Fehlern</translation>
    </message>
    <message>
        <source>The picture has more pixels than any cut needs; it is opened at half its size.</source>
        <translation>Das Bild hat mehr Pixel, als ein Schnitt je braucht; es wird in halber Größe geöffnet.</translation>
    </message>
    <message>
        <source>Open a PNG, JPEG, WebP, BMP, TIFF, GIF, AVIF or HEIF picture, a PDF or an SVG.</source>
        <translation>Öffne ein Bild in PNG, JPEG, WebP, BMP, TIFF, GIF, AVIF oder HEIF, ein PDF oder ein SVG.</translation>
    </message>
    <message>
        <source>is a folder, not a picture.</source>
        <translation>ist ein Ordner, kein Bild.</translation>
    </message>
    <message>
        <source>Name the pictures in it.</source>
        <translation>Nenne die Bilder darin.</translation>
    </message>
    <message>
        <source>is not an ordinary file.</source>
        <translation>ist keine gewöhnliche Datei.</translation>
    </message>
    <message>
        <source>has {mb:.0f} MB; at most {mb2} MB are read.</source>
        <translation>hat {mb:.0f} MB; höchstens {mb2} MB werden gelesen.</translation>
    </message>
    <message>
        <source>Save a smaller copy.</source>
        <translation>Speichere eine kleinere Kopie.</translation>
    </message>
    <message>
        <source>there is no such file.</source>
        <translation>diese Datei gibt es nicht.</translation>
    </message>
    <message>
        <source>Check the name and the folder.</source>
        <translation>Prüfe Namen und Ordner.</translation>
    </message>
    <message>
        <source>this file may not be read.</source>
        <translation>diese Datei darf nicht gelesen werden.</translation>
    </message>
    <message>
        <source>Check its permissions.</source>
        <translation>Prüfe ihre Rechte.</translation>
    </message>
    <message>
        <source>holds no JSON.</source>
        <translation>enthält kein JSON.</translation>
    </message>
    <message>
        <source>is larger than {most} MB.</source>
        <translation>ist größer als {most} MB.</translation>
    </message>
    <message>
        <source>cannot be read ({strerror}).</source>
        <translation>kann nicht gelesen werden ({strerror}).</translation>
    </message>
    <message>
        <source>the file is empty.</source>
        <translation>die Datei ist leer.</translation>
    </message>
    <message>
        <source>Copy or download it again.</source>
        <translation>Kopiere oder lade sie noch einmal.</translation>
    </message>
    <message>
        <source>The file has several pictures; the first is used.</source>
        <translation>Die Datei enthält mehrere Bilder; das erste wird genommen.</translation>
    </message>
    <message>
        <source>does not fit into memory.</source>
        <translation>passt nicht in den Speicher.</translation>
    </message>
    <message>
        <source>its process ended: {why}</source>
        <translation>sein Prozess ist zu Ende: {why}</translation>
    </message>
    <message>
        <source>the picture is damaged or cut short ({short}).</source>
        <translation>das Bild ist beschädigt oder abgeschnitten ({short}).</translation>
    </message>
    <message>
        <source>Copy or export it again.</source>
        <translation>Kopiere oder exportiere es noch einmal.</translation>
    </message>
    <message>
        <source>this is not a picture the program reads.</source>
        <translation>das ist kein Bild, das dieses Programm liest.</translation>
    </message>
    <message>
        <source>the picture&apos;s header is damaged ({short}).</source>
        <translation>der Kopf des Bildes ist beschädigt ({short}).</translation>
    </message>
    <message>
        <source>claims {width} × {height} px, {height2:,.0f} megapixels; at most {max_pixels:.0f} are opened.</source>
        <translation>gibt {width} × {height} px an, {height2:,.0f} Megapixel; höchstens {max_pixels:.0f} werden geöffnet.</translation>
    </message>
    <message>
        <source>is {width} × {height} px; a picture to trace needs at least {smallest_side_px} px on each side.</source>
        <translation>hat {width} × {height} px; ein Bild zum Nachzeichnen braucht mindestens {smallest_side_px} px je Seite.</translation>
    </message>
    <message>
        <source>Use a larger version.</source>
        <translation>Nimm eine größere Fassung.</translation>
    </message>
    <message>
        <source>every pixel is transparent; there is nothing to trace.</source>
        <translation>jeder Pixel ist durchsichtig; es gibt nichts nachzuzeichnen.</translation>
    </message>
    <message>
        <source>Export the picture with its colours.</source>
        <translation>Exportiere das Bild mit seinen Farben.</translation>
    </message>
    <message>
        <source>The colour profile in the file could not be used; colours are read as sRGB.</source>
        <translation>Das Farbprofil der Datei war nicht zu gebrauchen; die Farben werden als sRGB gelesen.</translation>
    </message>
    <message>
        <source>The file has ink colours without a profile; colours on screen are an estimate.</source>
        <translation>Die Datei hat Druckfarben ohne Profil; die Farben am Bildschirm sind eine Schätzung.</translation>
    </message>
    <message>
        <source>is {width_px:.0f} × {height_px:.0f} px at {dpi:.0f} dpi; at most {max_pixels:.0f} megapixels are drawn.</source>
        <translation>hat {width_px:.0f} × {height_px:.0f} px bei {dpi:.0f} dpi; höchstens {max_pixels:.0f} Megapixel werden gezeichnet.</translation>
    </message>
    <message>
        <source>Choose {most} dpi or less.</source>
        <translation>Wähle {most} dpi oder weniger.</translation>
    </message>
    <message>
        <source>is too small to draw at this resolution.</source>
        <translation>ist bei dieser Auflösung zu klein zum Zeichnen.</translation>
    </message>
    <message>
        <source>Choose a higher one.</source>
        <translation>Wähle eine höhere.</translation>
    </message>
    <message>
        <source>has no page.</source>
        <translation>hat keine Seite.</translation>
    </message>
    <message>
        <source>Export it again.</source>
        <translation>Exportiere es noch einmal.</translation>
    </message>
    <message>
        <source>is locked with a password.</source>
        <translation>ist mit einem Passwort gesperrt.</translation>
    </message>
    <message>
        <source>Open it elsewhere and save it without one.</source>
        <translation>Öffne es anderswo und speichere es ohne.</translation>
    </message>
    <message>
        <source>this PDF is damaged or cut short.</source>
        <translation>dieses PDF ist beschädigt oder abgeschnitten.</translation>
    </message>
    <message>
        <source>has {count} pages; page {page} is not there.</source>
        <translation>hat {count} Seiten; Seite {page} gibt es nicht.</translation>
    </message>
    <message>
        <source>has 1 page; page {page} is not there.</source>
        <translation>hat 1 Seite; Seite {page} gibt es nicht.</translation>
    </message>
    <message>
        <source>Choose another page.</source>
        <translation>Wähle eine andere Seite.</translation>
    </message>
    <message>
        <source>its page {page} claims to be {width_in:.0f} × {height_in:.0f} mm.</source>
        <translation>ihre Seite {page} gibt {width_in:.0f} × {height_in:.0f} mm an.</translation>
    </message>
    <message>
        <source>Export it at its real size.</source>
        <translation>Exportiere es in seiner wahren Größe.</translation>
    </message>
    <message>
        <source>its page {page} is damaged.</source>
        <translation>ihre Seite {page} ist beschädigt.</translation>
    </message>
    <message>
        <source>has {mb:.0f} MB; at most {mb2} MB of SVG are read.</source>
        <translation>hat {mb:.0f} MB; höchstens {mb2} MB SVG werden gelesen.</translation>
    </message>
    <message>
        <source>Save a simpler copy.</source>
        <translation>Speichere eine einfachere Kopie.</translation>
    </message>
    <message>
        <source>this SVG cannot be drawn.</source>
        <translation>dieses SVG kann nicht gezeichnet werden.</translation>
    </message>
    <message>
        <source>Check a part of it alone.</source>
        <translation>Nur einen Teil davon prüfen.</translation>
    </message>
    <message>
        <source>cannot be read as {kind}.</source>
        <translation>lässt sich nicht als {kind} lesen.</translation>
    </message>
    <message>
        <source>Save a plain copy of it.</source>
        <translation>Speichere eine schlichte Kopie davon.</translation>
    </message>
    <message>
        <source>has more cuts than are checked.</source>
        <translation>hat mehr Schnitte, als geprüft werden.</translation>
    </message>
    <message>
        <source>this SVG shows nothing.</source>
        <translation>dieses SVG zeigt nichts.</translation>
    </message>
    <message>
        <source>Export it with its shapes.</source>
        <translation>Exportiere es mit seinen Formen.</translation>
    </message>
    <message>
        <source>this SVG defines entities, which no drawing needs; it is not opened.</source>
        <translation>dieses SVG bestimmt Entities, die keine Zeichnung braucht; es wird nicht geöffnet.</translation>
    </message>
    <message>
        <source>this SVG is nested more than {max_depth} deep or has more than {max_elements} parts.</source>
        <translation>dieses SVG ist mehr als {max_depth} tief verschachtelt oder hat mehr als {max_elements} Teile.</translation>
    </message>
    <message>
        <source>this SVG is damaged or cut short.</source>
        <translation>dieses SVG ist beschädigt oder abgeschnitten.</translation>
    </message>
    <message>
        <source>this is not an SVG drawing.</source>
        <translation>das ist keine SVG-Zeichnung.</translation>
    </message>
    <message>
        <source>Open another file.</source>
        <translation>Öffne eine andere Datei.</translation>
    </message>
    <message>
        <source>A script in the file was left out.</source>
        <translation>Ein Skript in der Datei wurde weggelassen.</translation>
    </message>
    <message>
        <source>Something that the file points to outside itself was left out.</source>
        <translation>Etwas, worauf die Datei außerhalb ihrer selbst verweist, wurde weggelassen.</translation>
    </message>
    <message>
        <source>Text is drawn in the program&apos;s own font; turn it into outlines to keep its look.</source>
        <translation>Text wird in der Schrift des Programms gezeichnet; wandle ihn in Umrisse um, damit er so aussieht.</translation>
    </message>
    <message>
        <source>this SVG repeats parts of itself too often to be drawn.</source>
        <translation>dieses SVG wiederholt Teile seiner selbst zu oft, um gezeichnet zu werden.</translation>
    </message>
    <message>
        <source>this SVG states no size.</source>
        <translation>dieses SVG nennt keine Größe.</translation>
    </message>
    <message>
        <source>Save it with a width and a height.</source>
        <translation>Speichere es mit Breite und Höhe.</translation>
    </message>
    <message>
        <source>this SVG claims to be {sides:.0f} × {sides2:.0f} mm.</source>
        <translation>dieses SVG gibt {sides:.0f} × {sides2:.0f} mm an.</translation>
    </message>
    <message>
        <source>Save it at its real size.</source>
        <translation>Speichere es in seiner wahren Größe.</translation>
    </message>
    <message>
        <source>Preparing the picture</source>
        <translation>Das Bild wird vorbereitet</translation>
    </message>
    <message>
        <source>a line of some length</source>
        <translation>eine Linie von einiger Länge</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehen</translation>
    </message>
    <message>
        <source>clockwise, in degrees</source>
        <translation>im Uhrzeigersinn, in Grad</translation>
    </message>
    <message>
        <source>Take the screen out</source>
        <translation>Druckraster entfernen</translation>
    </message>
    <message>
        <source>take out the dots of a printed page</source>
        <translation>die Punkte einer gedruckten Seite entfernen</translation>
    </message>
    <message>
        <source>Level the light</source>
        <translation>Licht ausgleichen</translation>
    </message>
    <message>
        <source>even out the light of a scan or photo</source>
        <translation>das Licht eines Scans oder Fotos ausgleichen</translation>
    </message>
    <message>
        <source>Calm grain</source>
        <translation>Korn beruhigen</translation>
    </message>
    <message>
        <source>take out grain, edges kept</source>
        <translation>Korn entfernen, Kanten bleiben</translation>
    </message>
    <message>
        <source>Lift the pencil</source>
        <translation>Bleistift anheben</translation>
    </message>
    <message>
        <source>pale strokes darker</source>
        <translation>blasse Striche dunkler</translation>
    </message>
    <message>
        <source>Enlarge</source>
        <translation>Vergrößern</translation>
    </message>
    <message>
        <source>a small picture larger, edges kept</source>
        <translation>ein kleines Bild größer, Kanten bleiben</translation>
    </message>
    <message>
        <source>four shares between 0 and {most}</source>
        <translation>vier Anteile zwischen 0 und {most}</translation>
    </message>
    <message>
        <source>four corners as shares of width and height</source>
        <translation>vier Ecken als Anteile von Breite und Höhe</translation>
    </message>
    <message>
        <source>four corners in turn around a page</source>
        <translation>vier Ecken der Reihe nach um eine Seite</translation>
    </message>
    <message>
        <source>left, top, right and bottom between 0 and 1</source>
        <translation>links, oben, rechts und unten zwischen 0 und 1</translation>
    </message>
    <message>
        <source>A label image must be two-dimensional and not empty; got shape {shape}.</source>
        <translation>Ein Labelbild muss zweidimensional und nicht leer sein; gegeben: Form {shape}.</translation>
    </message>
    <message>
        <source>a material lies on one it does not bond to</source>
        <translation>ein Material liegt auf einem, an dem es nicht haftet</translation>
    </message>
    <message>
        <source>{name} must not lie on another {family}: the press does not bond them. Choose a plain film below it, or lay them beside each other (fitted).</source>
        <translation>{name} darf nicht auf anderem Material dieser Art liegen ({family}): die Presse verbindet sie nicht. Wähle darunter eine glatte Folie oder lege sie nebeneinander (eingepasst).</translation>
    </message>
    <message>
        <source>the tool must not cut this material</source>
        <translation>das Werkzeug darf dieses Material nicht schneiden</translation>
    </message>
    <message>
        <source>{name} is not cut by a {tool}: its fumes are poisonous and eat the machine. Choose another material or tool; the machine&apos;s manual decides.</source>
        <translation>{name} wird nicht so geschnitten ({tool}): die Dämpfe sind giftig und zerfressen die Maschine. Wähle ein anderes Material oder Werkzeug; das Handbuch der Maschine entscheidet.</translation>
    </message>
    <message>
        <source>{name} is not cut by a {tool}: it is not made for it. Choose another material or tool; the machine&apos;s manual decides.</source>
        <translation>{name} wird nicht so geschnitten ({tool}): dafür ist es nicht gemacht. Wähle ein anderes Material oder Werkzeug; das Handbuch der Maschine entscheidet.</translation>
    </message>
    <message>
        <source>several pieces of a shrinking material carried over as one</source>
        <translation>mehrere Teile eines schrumpfenden Materials werden als eines übertragen</translation>
    </message>
    <message>
        <source>{name} shrinks under heat: {pieces} pieces carried over as one move against each other. Carry them one by one.</source>
        <translation>{name} schrumpft unter Hitze: {pieces} Teile, als eines übertragen, verschieben sich gegeneinander. Übertrage sie einzeln.</translation>
    </message>
    <message>
        <source>Part its pieces</source>
        <translation>Teile einzeln übertragen</translation>
    </message>
    <message>
        <source>a shape is narrower than its material bears</source>
        <translation>eine Form ist schmaler, als ihr Material verträgt</translation>
    </message>
    <message>
        <source>{width:.2f} mm is too thin for {name}, which bears {bears:g} mm.</source>
        <translation>{width:.2f} mm sind zu dünn für {name}, das {bears:g} mm verträgt.</translation>
    </message>
    <message>
        <source>two cuts are nearer than their material bears</source>
        <translation>zwei Schnitte liegen näher, als ihr Material verträgt</translation>
    </message>
    <message>
        <source>Two cuts come within {space:.2f} mm; {name} wants {wants:g} mm between cuts. Drop what parts them, or make the work larger.</source>
        <translation>Zwei Schnitte kommen sich bis auf {space:.2f} mm nahe; {name} braucht {wants:g} mm zwischen Schnitten. Lass weg, was sie trennt, oder mach die Arbeit größer.</translation>
    </message>
    <message>
        <source>the stack is higher than the frame is deep</source>
        <translation>der Stapel ist höher, als der Rahmen tief ist</translation>
    </message>
    <message>
        <source>The stack is {high:.1f} mm high and the frame {deep:g} mm deep. Take fewer or thinner sheets or spacers.</source>
        <translation>Der Stapel ist {high:.1f} mm hoch und der Rahmen {deep:g} mm tief. Nimm weniger oder dünnere Bogen oder Abstandhalter.</translation>
    </message>
    <message>
        <source>regions under the smallest detail were given to a neighbour</source>
        <translation>Flächen unter dem kleinsten Detail gingen an einen Nachbarn</translation>
    </message>
    <message>
        <source>1 region under {smallest:g} mm went to a neighbour. Lower the smallest detail to keep more.</source>
        <translation>1 Fläche unter {smallest:g} mm ging an einen Nachbarn. Setze das kleinste Detail herab, um mehr zu behalten.</translation>
    </message>
    <message>
        <source>{count} regions under {smallest:g} mm went to a neighbour. Lower the smallest detail to keep more.</source>
        <translation>{count} Flächen unter {smallest:g} mm gingen an einen Nachbarn. Setze das kleinste Detail herab, um mehr zu behalten.</translation>
    </message>
    <message>
        <source>Bring them back</source>
        <translation>Zurückholen</translation>
    </message>
    <message>
        <source>a palette colour has no region left</source>
        <translation>eine Farbe der Palette hat keine Fläche mehr</translation>
    </message>
    <message>
        <source>The colour {hex} has no region left; all of its areas are under the smallest detail.</source>
        <translation>Die Farbe {hex} hat keine Fläche mehr; alle ihre Flächen liegen unter dem kleinsten Detail.</translation>
    </message>
    <message>
        <source>Take it out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>nothing is left to cut</source>
        <translation>es ist nichts mehr zu schneiden</translation>
    </message>
    <message>
        <source>Nothing is left to cut. Put a layer back in, keep the ground, or choose more colours.</source>
        <translation>Es ist nichts mehr zu schneiden. Nimm eine Ebene wieder hinein, behalte den Grund oder wähle mehr Farben.</translation>
    </message>
    <message>
        <source>Bring layers back</source>
        <translation>Ebenen zurückholen</translation>
    </message>
    <message>
        <source>the order is good but not proven best</source>
        <translation>die Reihenfolge ist gut, aber nicht als die beste bewiesen</translation>
    </message>
    <message>
        <source>More than 16 colours: the proposed order is good, but not proven to cut least.</source>
        <translation>Mehr als 16 Farben: die vorgeschlagene Reihenfolge ist gut, aber dass sie am wenigsten schneidet, ist nicht bewiesen.</translation>
    </message>
    <message>
        <source>an edit no longer finds its region</source>
        <translation>eine Entscheidung findet ihre Fläche nicht mehr</translation>
    </message>
    <message>
        <source>A dropped region does nothing now: no region like the one it was made for is here. Switch it off, take it out, or make it anew.</source>
        <translation>Eine weggelassene Fläche bewirkt jetzt nichts: eine wie die, für die sie bestimmt war, gibt es hier nicht. Schalte sie aus, nimm sie heraus oder mach sie neu.</translation>
    </message>
    <message>
        <source>An opened window does nothing now: no region like the one it was made for is here. Switch it off, take it out, or make it anew.</source>
        <translation>Ein geöffnetes Fenster bewirkt jetzt nichts: eine Fläche wie die, für die es bestimmt war, gibt es hier nicht. Schalte es aus, nimm es heraus oder mach es neu.</translation>
    </message>
    <message>
        <source>A given colour does nothing now: no region like the one it was made for is here. Switch it off, take it out, or make it anew.</source>
        <translation>Eine gegebene Farbe bewirkt jetzt nichts: eine Fläche wie die, für die sie bestimmt war, gibt es hier nicht. Schalte sie aus, nimm sie heraus oder mach sie neu.</translation>
    </message>
    <message>
        <source>A kept region does nothing now: no region like the one it was made for is here. Switch it off, take it out, or make it anew.</source>
        <translation>Eine behaltene Fläche bewirkt jetzt nichts: eine wie die, für die sie bestimmt war, gibt es hier nicht. Schalte sie aus, nimm sie heraus oder mach sie neu.</translation>
    </message>
    <message>
        <source>A window to a sheet below does nothing now: no region like the one it was made for is here. Switch it off, take it out, or make it anew.</source>
        <translation>Ein Fenster zu einem Bogen darunter bewirkt jetzt nichts: eine Fläche wie die, für die es bestimmt war, gibt es hier nicht. Schalte es aus, nimm es heraus oder mach es neu.</translation>
    </message>
    <message>
        <source>A piece on top does nothing now: no region like the one it was made for is here. Switch it off, take it out, or make it anew.</source>
        <translation>Ein Teil obenauf bewirkt jetzt nichts: eine Fläche wie die, für die es bestimmt war, gibt es hier nicht. Schalte es aus, nimm es heraus oder mach es neu.</translation>
    </message>
    <message>
        <source>{count} more edits do nothing now.</source>
        <translation>{count} weitere Entscheidungen bewirken jetzt nichts.</translation>
    </message>
    <message>
        <source>Take them out</source>
        <translation>Alle herausnehmen</translation>
    </message>
    <message>
        <source>a split line or a new course does nothing</source>
        <translation>eine Trennlinie oder ein neuer Verlauf bewirkt nichts</translation>
    </message>
    <message>
        <source>The new course of a boundary does nothing now: the stretch it was made for is not here, or another boundary is in its way. Switch it off, take it out, or draw it anew.</source>
        <translation>Der neue Verlauf eines Randes bewirkt jetzt nichts: das Stück, für das er bestimmt war, gibt es hier nicht, oder ein anderer Rand ist im Weg. Schalte ihn aus, nimm ihn heraus oder zeichne ihn neu.</translation>
    </message>
    <message>
        <source>A split line parts nothing: it must run from one side of a shape to the other. Switch it off, take it out, or draw it anew.</source>
        <translation>Eine Trennlinie trennt nichts: sie muss von einer Seite einer Form zur anderen laufen. Schalte sie aus, nimm sie heraus oder zeichne sie neu.</translation>
    </message>
    <message>
        <source>a shape is narrower than the smallest width</source>
        <translation>eine Form ist schmaler als die kleinste Breite</translation>
    </message>
    <message>
        <source>Only {width:.2f} mm wide here, under {limit:g} mm; it may tear in cutting or weeding.</source>
        <translation>Hier nur {width:.2f} mm breit, unter {limit:g} mm; das kann beim Schneiden oder Entgittern reißen.</translation>
    </message>
    <message>
        <source>Only {width:.2f} mm wide here, under {limit:g} mm; it may break in cutting or handling.</source>
        <translation>Hier nur {width:.2f} mm breit, unter {limit:g} mm; es kann beim Schneiden oder Anfassen brechen.</translation>
    </message>
    <message>
        <source>Thicken here</source>
        <translation>Hier verdicken</translation>
    </message>
    <message>
        <source>a sharp point may lift or tear</source>
        <translation>eine scharfe Spitze kann sich heben oder reißen</translation>
    </message>
    <message>
        <source>A point is sharper than {limit:g} degrees (the sharpest {sharpest:.0f}); they may lift or tear.</source>
        <translation>Eine Spitze ist schärfer als {limit:g} Grad (die schärfste {sharpest:.0f}); sie kann sich heben oder reißen.</translation>
    </message>
    <message>
        <source>{count} points are sharper than {limit:g} degrees (the sharpest {sharpest:.0f}); they may lift or tear.</source>
        <translation>{count} Spitzen sind schärfer als {limit:g} Grad (die schärfste {sharpest:.0f}); sie können sich heben oder reißen.</translation>
    </message>
    <message>
        <source>pieces too small to weed or to stick</source>
        <translation>Teile zu klein zum Entgittern oder Kleben</translation>
    </message>
    <message>
        <source>1 piece is smaller than a dot of {limit:g} mm: too small to weed or to stick.</source>
        <translation>1 Teil ist kleiner als ein Punkt von {limit:g} mm: zu klein zum Entgittern oder Kleben.</translation>
    </message>
    <message>
        <source>{count} pieces are smaller than a dot of {limit:g} mm: too small to weed or to stick.</source>
        <translation>{count} Teile sind kleiner als ein Punkt von {limit:g} mm: zu klein zum Entgittern oder Kleben.</translation>
    </message>
    <message>
        <source>Pieces smaller than a dot of {limit:g} mm: {count}, too small to hold while cut.</source>
        <translation>Teile kleiner als ein Punkt von {limit:g} mm: {count}, zu klein, um beim Schneiden gehalten zu werden.</translation>
    </message>
    <message>
        <source>Drop them</source>
        <translation>Weglassen</translation>
    </message>
    <message>
        <source>{width:.0f} × {height:.0f} mm is over a 12 in carrier (cuts {carrier:.0f} mm); it fits a 12 × 24 in one, or the short one at {share:.0%} of its size.</source>
        <translation>{width:.0f} × {height:.0f} mm ist mehr als ein Träger von 12 Zoll (schneidet {carrier:.0f} mm); es passt auf einen von 12 × 24 Zoll, oder mit {share:.0%} seiner Größe auf den kurzen.</translation>
    </message>
    <message>
        <source>{width:.0f} × {height:.0f} mm does not fit a 12 in carrier, which cuts {carrier:.0f} × {long:.0f} mm at most. At {share:.0%} of its size it does.</source>
        <translation>{width:.0f} × {height:.0f} mm passt auf keinen Träger von 12 Zoll, der höchstens {carrier:.0f} × {long:.0f} mm schneidet. Mit {share:.0%} seiner Größe passt es.</translation>
    </message>
    <message>
        <source>something laid on reaches beyond the page</source>
        <translation>etwas Aufgelegtes reicht über die Seite hinaus</translation>
    </message>
    <message>
        <source>{name} reaches beyond the page and is cut off there.</source>
        <translation>{name} reicht über die Seite hinaus und wird dort abgeschnitten.</translation>
    </message>
    <message>
        <source>Make room for it</source>
        <translation>Platz dafür schaffen</translation>
    </message>
    <message>
        <source>a layer has the colour of what it is laid on</source>
        <translation>eine Ebene hat die Farbe dessen, worauf sie liegt</translation>
    </message>
    <message>
        <source>{name} has the colour of what it is laid on. Left out, the ground shows in its place, and {cut:.0f} mm of cutting and a sheet are saved; what lies under it shows too, so look at it.</source>
        <translation>{name} hat die Farbe dessen, worauf alles liegt. Weggelassen zeigt sich dort der Grund, und {cut:.0f} mm Schnitt und ein Bogen sind gespart; auch was darunter liegt, zeigt sich, also sieh es dir an.</translation>
    </message>
    <message>
        <source>Leave it out</source>
        <translation>Auslassen</translation>
    </message>
    <message>
        <source>what the work is laid on may shine through lighter sheets</source>
        <translation>was darunter liegt, kann durch hellere Bögen scheinen</translation>
    </message>
    <message>
        <source>What it is laid on may shine through {name}, which is lighter. If its film is thin, lay a white sheet under it.</source>
        <translation>Was darunter liegt, kann durch {name} scheinen, das heller ist. Ist die Folie dünn, lege einen weißen Bogen darunter.</translation>
    </message>
    <message>
        <source>What it is laid on may shine through {count} lighter sheets, {name} first. If their film is thin, lay a white sheet under them.</source>
        <translation>Was darunter liegt, kann durch {count} hellere Bögen scheinen, zuerst {name}. Sind die Folien dünn, lege einen weißen Bogen darunter.</translation>
    </message>
    <message>
        <source>Lay white under</source>
        <translation>Weiß darunter legen</translation>
    </message>
    <message>
        <source>1 opening goes through {sheets} of the sheets: as a piece laid on top it costs {saved:.0f} mm of cutting less, laying it counted.</source>
        <translation>1 Öffnung geht durch {sheets} der Bögen: als aufgelegtes Teil kostet sie {saved:.0f} mm Schnitt weniger, das Auflegen mitgezählt.</translation>
    </message>
    <message>
        <source>{count} openings go through the sheets, the deepest through {sheets} of them: as pieces laid on top they cost {saved:.0f} mm of cutting less, laying them counted.</source>
        <translation>{count} Öffnungen gehen durch die Bögen, die tiefste durch {sheets} davon: als aufgelegte Teile kosten sie {saved:.0f} mm Schnitt weniger, das Auflegen mitgezählt.</translation>
    </message>
    <message>
        <source>pen strokes that are dots rather than lines</source>
        <translation>Stiftstriche, die eher Punkte als Linien sind</translation>
    </message>
    <message>
        <source>1 pen stroke is shorter than {limit:g} mm: a dot rather than a line. Solid shapes are read by tone.</source>
        <translation>1 Stiftstrich ist kürzer als {limit:g} mm: eher ein Punkt als eine Linie. Volle Formen werden als Ton gelesen.</translation>
    </message>
    <message>
        <source>{count} pen strokes are shorter than {limit:g} mm: dots rather than lines. Solid shapes are read by tone.</source>
        <translation>{count} Stiftstriche sind kürzer als {limit:g} mm: eher Punkte als Linien. Volle Formen werden als Ton gelesen.</translation>
    </message>
    <message>
        <source>Read it by tone</source>
        <translation>Als Ton lesen</translation>
    </message>
    <message>
        <source>openings through several sheets cost more than pieces laid on top</source>
        <translation>Öffnungen durch mehrere Bögen kosten mehr als aufgelegte Teile</translation>
    </message>
    <message>
        <source>Lay them on top</source>
        <translation>Obenauf legen</translation>
    </message>
    <message>
        <source>a layer does not fit the carrier</source>
        <translation>eine Ebene passt nicht auf den Träger</translation>
    </message>
    <message>
        <source>Make it fit</source>
        <translation>Passend machen</translation>
    </message>
    <message>
        <source>the pieces of a layer lie farther apart than a carrier cuts</source>
        <translation>die Teile einer Ebene liegen weiter auseinander, als ein Träger schneidet</translation>
    </message>
    <message>
        <source>Its pieces lie spread over {width:.0f} × {height:.0f} mm, and a 12 in carrier cuts {carrier:.0f} mm; each of them fits. Lay them nearer to each other, or write a file for each design.</source>
        <translation>Die Teile liegen über {width:.0f} × {height:.0f} mm verstreut, und ein 12-Zoll-Träger schneidet {carrier:.0f} mm; jedes für sich passt. Lege sie näher zusammen oder schreibe eine Datei je Entwurf.</translation>
    </message>
    <message>
        <source>the picture has few pixels for the wanted size</source>
        <translation>das Bild hat wenige Pixel für die gewünschte Größe</translation>
    </message>
    <message>
        <source>{density:.1f} pixels per mm at this size; clean curves want {wanted:.0f}. The picture is good for about {good_mm:.0f} mm in width: find a larger copy or cut it smaller.</source>
        <translation>{density:.1f} Pixel je mm bei dieser Größe; saubere Kurven brauchen {wanted:.0f}. Das Bild reicht für etwa {good_mm:.0f} mm Breite: suche eine größere Kopie oder schneide es kleiner.</translation>
    </message>
    <message>
        <source>Use that width</source>
        <translation>Diese Breite nehmen</translation>
    </message>
    <message>
        <source>part of the picture is shading rather than flat colour</source>
        <translation>ein Teil des Bildes ist Schattierung statt flacher Farbe</translation>
    </message>
    <message>
        <source>{share:.0%} of the picture is shading, not flat colour. Its edges will follow ragged steps of tone: read it as a photo, in a few calm tones, or find a flat version.</source>
        <translation>{share:.0%} des Bildes sind Schattierung, keine flache Farbe. Ihre Kanten folgen zerfransten Tonstufen: lies es als Foto, in wenigen ruhigen Tönen, oder suche eine flache Fassung.</translation>
    </message>
    <message>
        <source>Read it as a photo</source>
        <translation>Als Foto lesen</translation>
    </message>
    <message>
        <source>edges are soft or blurred</source>
        <translation>Kanten sind weich oder verschwommen</translation>
    </message>
    <message>
        <source>Edges are about {width:.0f} pixels soft: enlarged or out of focus. Details finer than that are gone.</source>
        <translation>Kanten sind etwa {width:.0f} Pixel weich: vergrößert oder unscharf. Feinere Details sind verloren.</translation>
    </message>
    <message>
        <source>compression noise or grain</source>
        <translation>Störungen der Kompression oder Korn</translation>
    </message>
    <message>
        <source>Flat areas vary by {noise:.0f} of 255: grain. Specks under the smallest detail are cleaned away; taking the grain out first gives calmer outlines.</source>
        <translation>Flache Flächen schwanken um {noise:.0f} von 255: Korn. Sprenkel unter dem kleinsten Detail werden weggeräumt; ruhigere Umrisse gibt es, wenn das Korn zuerst entfernt wird.</translation>
    </message>
    <message>
        <source>Take out grain</source>
        <translation>Korn entfernen</translation>
    </message>
    <message>
        <source>the picture holds no area a person would cut</source>
        <translation>das Bild enthält keine Fläche, die jemand schneiden würde</translation>
    </message>
    <message>
        <source>Neighbouring pixels have nothing in common; there is no area in this picture to cut.</source>
        <translation>Benachbarte Pixel haben nichts gemeinsam; in diesem Bild gibt es keine Fläche zum Schneiden.</translation>
    </message>
    <message>
        <source>a page lies in the picture at a slant</source>
        <translation>eine Seite liegt schräg im Bild</translation>
    </message>
    <message>
        <source>A page lies in the picture at a slant, with the table around it. Flatten it before anything else is judged.</source>
        <translation>Eine Seite liegt schräg im Bild, mit dem Tisch darum. Mach sie flach, bevor sonst etwas beurteilt wird.</translation>
    </message>
    <message>
        <source>Flatten the page</source>
        <translation>Seite flach machen</translation>
    </message>
    <message>
        <source>level and upright lines lean</source>
        <translation>waagerechte und senkrechte Linien neigen sich</translation>
    </message>
    <message>
        <source>Lines lean {degrees:.1f} degrees clockwise.</source>
        <translation>Linien neigen sich um {degrees:.1f} Grad im Uhrzeigersinn.</translation>
    </message>
    <message>
        <source>Lines lean {degrees:.1f} degrees anticlockwise.</source>
        <translation>Linien neigen sich um {degrees:.1f} Grad gegen den Uhrzeigersinn.</translation>
    </message>
    <message>
        <source>Region</source>
        <translation>Fläche</translation>
    </message>
    <message>
        <source>Stroke</source>
        <translation>Strich</translation>
    </message>
    <message>
        <source>Line around an area</source>
        <translation>Linie um eine Fläche</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>Gap</source>
        <translation>Lücke</translation>
    </message>
    <message>
        <source>Colour of the palette</source>
        <translation>Farbe der Palette</translation>
    </message>
    <message>
        <source>Drop</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>It goes to what lies around it; a hole is filled</source>
        <translation>Sie geht an das, was um sie liegt; ein Loch wird gefüllt</translation>
    </message>
    <message>
        <source>delete remove take away fill</source>
        <translation>löschen entfernen wegnehmen füllen</translation>
    </message>
    <message>
        <source>Bring in</source>
        <translation>Hereinnehmen</translation>
    </message>
    <message>
        <source>It is there, while everything else is off</source>
        <translation>Sie ist da, während alles andere aus ist</translation>
    </message>
    <message>
        <source>keep choose</source>
        <translation>behalten wählen</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>A window through all sheets</source>
        <translation>Ein Fenster durch alle Bogen</translation>
    </message>
    <message>
        <source>hole cut out</source>
        <translation>Loch ausschneiden</translation>
    </message>
    <message>
        <source>Below</source>
        <translation>Darunter</translation>
    </message>
    <message>
        <source>A window, with a sheet of its colour below all others</source>
        <translation>Ein Fenster, mit einem Bogen ihrer Farbe unter allen anderen</translation>
    </message>
    <message>
        <source>under eye</source>
        <translation>darunter Auge</translation>
    </message>
    <message>
        <source>On top</source>
        <translation>Obenauf</translation>
    </message>
    <message>
        <source>A piece on a sheet of its colour above all others</source>
        <translation>Ein Teil auf einem Bogen ihrer Farbe über allen anderen</translation>
    </message>
    <message>
        <source>over raise</source>
        <translation>darüber heben</translation>
    </message>
    <message>
        <source>As before</source>
        <translation>Wie zuvor</translation>
    </message>
    <message>
        <source>What was decided about it last is taken back</source>
        <translation>Was zuletzt über sie entschieden wurde, wird zurückgenommen</translation>
    </message>
    <message>
        <source>undo bring back restore</source>
        <translation>rückgängig zurückholen</translation>
    </message>
    <message>
        <source>All alike</source>
        <translation>Alle ähnlichen</translation>
    </message>
    <message>
        <source>Chooses all of its colour and about its size</source>
        <translation>Wählt alle ihrer Farbe und etwa ihrer Größe</translation>
    </message>
    <message>
        <source>same similar every</source>
        <translation>gleich ähnlich alle</translation>
    </message>
    <message>
        <source>All of its colour</source>
        <translation>Alle ihrer Farbe</translation>
    </message>
    <message>
        <source>Chooses them in any size</source>
        <translation>Wählt sie in jeder Größe</translation>
    </message>
    <message>
        <source>same similar</source>
        <translation>gleich ähnlich</translation>
    </message>
    <message>
        <source>… in this design</source>
        <translation>… in diesem Motiv</translation>
    </message>
    <message>
        <source>Chooses all of its colour in what hangs together here</source>
        <translation>Wählt alle ihrer Farbe in dem, was hier zusammenhängt</translation>
    </message>
    <message>
        <source>All of its shape</source>
        <translation>Alle ihrer Form</translation>
    </message>
    <message>
        <source>Chooses them in any size, colour or turn</source>
        <translation>Wählt sie in jeder Größe, Farbe und Drehung</translation>
    </message>
    <message>
        <source>Join</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>All get the colour of the first and are one where they touch</source>
        <translation>Alle bekommen die Farbe der ersten und sind eins, wo sie sich berühren</translation>
    </message>
    <message>
        <source>unite merge together</source>
        <translation>vereinen zusammen</translation>
    </message>
    <message>
        <source>Cut out</source>
        <translation>Ausschneiden</translation>
    </message>
    <message>
        <source>The later ones, with all they enclose, are cut out of the first</source>
        <translation>Die späteren werden mit allem, was sie umschließen, aus der ersten geschnitten</translation>
    </message>
    <message>
        <source>subtract minus</source>
        <translation>abziehen minus</translation>
    </message>
    <message>
        <source>Common part</source>
        <translation>Gemeinsames</translation>
    </message>
    <message>
        <source>Of the first only what lies within all the others stays</source>
        <translation>Von der ersten bleibt nur, was in allen anderen liegt</translation>
    </message>
    <message>
        <source>intersect overlap</source>
        <translation>Schnitt überlappen</translation>
    </message>
    <message>
        <source>Fill inside</source>
        <translation>Innen füllen</translation>
    </message>
    <message>
        <source>All that it encloses gets its colour</source>
        <translation>Alles, was sie umschließt, bekommt ihre Farbe</translation>
    </message>
    <message>
        <source>holes solid</source>
        <translation>Löcher voll</translation>
    </message>
    <message>
        <source>Thicken</source>
        <translation>Verdicken</translation>
    </message>
    <message>
        <source>Its narrow places get the smallest width, smoothly</source>
        <translation>Ihre schmalen Stellen bekommen die kleinste Breite, mit sanften Übergängen</translation>
    </message>
    <message>
        <source>make thicker wider thin weak</source>
        <translation>dicker breiter dünn schwach</translation>
    </message>
    <message>
        <source>Split…</source>
        <translation>Teilen…</translation>
    </message>
    <message>
        <source>Draw a line through it that parts it</source>
        <translation>Zieh eine Linie durch sie, die sie teilt</translation>
    </message>
    <message>
        <source>part divide separate</source>
        <translation>trennen teilen</translation>
    </message>
    <message>
        <source>Its edge</source>
        <translation>Ihr Rand</translation>
    </message>
    <message>
        <source>Chooses the line around it, to smooth or reshape it</source>
        <translation>Wählt die Linie um sie, um sie zu glätten oder umzuformen</translation>
    </message>
    <message>
        <source>boundary outline smooth nodes</source>
        <translation>Grenze Umriss glätten Knoten</translation>
    </message>
    <message>
        <source>Mirrored copy</source>
        <translation>Gespiegelte Kopie</translation>
    </message>
    <message>
        <source>Its outline, turned over, becomes a shape beside it</source>
        <translation>Ihr Umriss wird gespiegelt zu einer Form daneben</translation>
    </message>
    <message>
        <source>mirror flip reflect turn over</source>
        <translation>spiegeln wenden umdrehen</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>Its outline becomes a shape beside it that can be moved</source>
        <translation>Ihr Umriss wird eine Form daneben, die bewegt werden kann</translation>
    </message>
    <message>
        <source>duplicate shape</source>
        <translation>verdoppeln Form</translation>
    </message>
    <message>
        <source>Take away</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>The paper shows there; what it met stays whole</source>
        <translation>Dort zeigt sich das Papier; was er traf, bleibt ganz</translation>
    </message>
    <message>
        <source>delete drop</source>
        <translation>löschen weglassen</translation>
    </message>
    <message>
        <source>It becomes a window through all sheets</source>
        <translation>Er wird ein Fenster durch alle Bogen</translation>
    </message>
    <message>
        <source>cut out</source>
        <translation>ausschneiden</translation>
    </message>
    <message>
        <source>Thicker</source>
        <translation>Dicker</translation>
    </message>
    <message>
        <source>By a quarter; again for more</source>
        <translation>Um ein Viertel; noch einmal für mehr</translation>
    </message>
    <message>
        <source>make thicker wider</source>
        <translation>dicker breiter machen</translation>
    </message>
    <message>
        <source>Thinner</source>
        <translation>Dünner</translation>
    </message>
    <message>
        <source>By a fifth; again for more</source>
        <translation>Um ein Fünftel; noch einmal für mehr</translation>
    </message>
    <message>
        <source>make thinner narrower</source>
        <translation>dünner schmaler machen</translation>
    </message>
    <message>
        <source>Extend</source>
        <translation>Verlängern</translation>
    </message>
    <message>
        <source>Its free end runs on until it meets another stroke</source>
        <translation>Sein freies Ende läuft weiter, bis es einen anderen Strich trifft</translation>
    </message>
    <message>
        <source>longer</source>
        <translation>länger</translation>
    </message>
    <message>
        <source>Join to…</source>
        <translation>Verbinden mit …</translation>
    </message>
    <message>
        <source>Then click the stroke whose free end it is joined to</source>
        <translation>Klick dann den Strich, mit dessen freiem Ende er verbunden wird</translation>
    </message>
    <message>
        <source>connect close</source>
        <translation>verbinden schließen</translation>
    </message>
    <message>
        <source>Smooth</source>
        <translation>Glätten</translation>
    </message>
    <message>
        <source>Bumps go, the ends stay</source>
        <translation>Beulen gehen, die Enden bleiben</translation>
    </message>
    <message>
        <source>calm sweep wobble</source>
        <translation>ruhig Schwung zittrig</translation>
    </message>
    <message>
        <source>Straighten</source>
        <translation>Gerade richten</translation>
    </message>
    <message>
        <source>A straight line between the ends</source>
        <translation>Eine gerade Linie zwischen den Enden</translation>
    </message>
    <message>
        <source>True arc</source>
        <translation>Wahrer Bogen</translation>
    </message>
    <message>
        <source>The arc of a circle through both ends; a whole ring becomes a circle</source>
        <translation>Der Kreisbogen durch beide Enden; ein ganzer Ring wird ein Kreis</translation>
    </message>
    <message>
        <source>circle round</source>
        <translation>Kreis rund</translation>
    </message>
    <message>
        <source>Fewer nodes</source>
        <translation>Weniger Knoten</translation>
    </message>
    <message>
        <source>As few as stay within 0.15 mm</source>
        <translation>So wenige, wie innerhalb von 0,15 mm bleiben</translation>
    </message>
    <message>
        <source>simplify points</source>
        <translation>vereinfachen Punkte</translation>
    </message>
    <message>
        <source>One node less</source>
        <translation>Ein Knoten weniger</translation>
    </message>
    <message>
        <source>The node goes whose going changes least</source>
        <translation>Der Knoten geht, dessen Fehlen am wenigsten ändert</translation>
    </message>
    <message>
        <source>Make a corner</source>
        <translation>Ecke machen</translation>
    </message>
    <message>
        <source>Both ends run on until they meet</source>
        <translation>Beide Enden laufen weiter, bis sie sich treffen</translation>
    </message>
    <message>
        <source>sharp point</source>
        <translation>scharf spitz</translation>
    </message>
    <message>
        <source>Round a corner</source>
        <translation>Ecke runden</translation>
    </message>
    <message>
        <source>By the radius in the panel</source>
        <translation>Mit dem Radius aus der Leiste</translation>
    </message>
    <message>
        <source>radius</source>
        <translation>Radius</translation>
    </message>
    <message>
        <source>What was laid on goes</source>
        <translation>Was aufgelegt wurde, geht</translation>
    </message>
    <message>
        <source>delete</source>
        <translation>löschen</translation>
    </message>
    <message>
        <source>It is cut out of all sheets</source>
        <translation>Sie wird aus allen Bogen geschnitten</translation>
    </message>
    <message>
        <source>hole window cut out</source>
        <translation>Loch Fenster ausschneiden</translation>
    </message>
    <message>
        <source>Other figure</source>
        <translation>Andere Figur</translation>
    </message>
    <message>
        <source>In its place and size: circle, star, rectangle, polygon in turn</source>
        <translation>An ihrer Stelle und in ihrer Größe: reihum Kreis, Stern, Rechteck, Vieleck</translation>
    </message>
    <message>
        <source>replace swap shape</source>
        <translation>ersetzen tauschen Form</translation>
    </message>
    <message>
        <source>Another one beside it</source>
        <translation>Noch eine daneben</translation>
    </message>
    <message>
        <source>duplicate</source>
        <translation>verdoppeln</translation>
    </message>
    <message>
        <source>Turn over</source>
        <translation>Umdrehen</translation>
    </message>
    <message>
        <source>Left becomes right</source>
        <translation>Links wird rechts</translation>
    </message>
    <message>
        <source>mirror flip</source>
        <translation>spiegeln wenden</translation>
    </message>
    <message>
        <source>All round, by a quarter of a millimetre; again for more</source>
        <translation>Ringsum um einen Viertelmillimeter; noch einmal für mehr</translation>
    </message>
    <message>
        <source>make thicker wider offset</source>
        <translation>dicker breiter Versatz</translation>
    </message>
    <message>
        <source>All round; again for more</source>
        <translation>Ringsum; noch einmal für mehr</translation>
    </message>
    <message>
        <source>Lay higher</source>
        <translation>Höher legen</translation>
    </message>
    <message>
        <source>Above the shape that covers it</source>
        <translation>Über die Form, die sie verdeckt</translation>
    </message>
    <message>
        <source>up front</source>
        <translation>hoch vorn</translation>
    </message>
    <message>
        <source>Lay lower</source>
        <translation>Tiefer legen</translation>
    </message>
    <message>
        <source>Below the shape that it covers</source>
        <translation>Unter die Form, die sie verdeckt</translation>
    </message>
    <message>
        <source>down back</source>
        <translation>tief hinten</translation>
    </message>
    <message>
        <source>Along a line…</source>
        <translation>Entlang einer Linie …</translation>
    </message>
    <message>
        <source>Repeated with even steps along the line drawn; the panel says how often</source>
        <translation>Mit gleichen Schritten entlang der gezogenen Linie wiederholt; wie oft, sagt die Leiste</translation>
    </message>
    <message>
        <source>repeat pattern</source>
        <translation>wiederholen Muster</translation>
    </message>
    <message>
        <source>Around a place…</source>
        <translation>Um eine Stelle …</translation>
    </message>
    <message>
        <source>Repeated around the place clicked; the panel says how often</source>
        <translation>Um den geklickten Ort wiederholt; wie oft, sagt die Leiste</translation>
    </message>
    <message>
        <source>repeat ring rosette</source>
        <translation>wiederholen Ring Rosette</translation>
    </message>
    <message>
        <source>All become one</source>
        <translation>Alle werden eins</translation>
    </message>
    <message>
        <source>unite</source>
        <translation>vereinen</translation>
    </message>
    <message>
        <source>The later ones are cut out of the first</source>
        <translation>Die späteren werden aus der ersten geschnitten</translation>
    </message>
    <message>
        <source>subtract</source>
        <translation>abziehen</translation>
    </message>
    <message>
        <source>Only what all have in common stays</source>
        <translation>Nur was alle gemeinsam haben, bleibt</translation>
    </message>
    <message>
        <source>intersect</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Close it</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>A bridge in the outline&apos;s own width</source>
        <translation>Eine Brücke in der eigenen Breite des Umrisses</translation>
    </message>
    <message>
        <source>bridge join leak</source>
        <translation>Brücke verbinden Leck</translation>
    </message>
    <message>
        <source>Close all</source>
        <translation>Alle schließen</translation>
    </message>
    <message>
        <source>A bridge over every gap that was found</source>
        <translation>Ein Steg über jede gefundene Lücke</translation>
    </message>
    <message>
        <source>bridges leaks</source>
        <translation>Brücken Lecks</translation>
    </message>
    <message>
        <source>Higher</source>
        <translation>Höher</translation>
    </message>
    <message>
        <source>One sheet up in the stack</source>
        <translation>Ein Bogen höher im Stapel</translation>
    </message>
    <message>
        <source>raise up front order</source>
        <translation>heben hoch vorn Reihenfolge</translation>
    </message>
    <message>
        <source>Lower</source>
        <translation>Tiefer</translation>
    </message>
    <message>
        <source>One sheet down in the stack</source>
        <translation>Ein Bogen tiefer im Stapel</translation>
    </message>
    <message>
        <source>down back order</source>
        <translation>tiefer hinten Reihenfolge</translation>
    </message>
    <message>
        <source>Make base</source>
        <translation>Zur Basis</translation>
    </message>
    <message>
        <source>Under all others</source>
        <translation>Unter alle anderen</translation>
    </message>
    <message>
        <source>bottom lowest ground</source>
        <translation>unten unterste Grund</translation>
    </message>
    <message>
        <source>Merge down</source>
        <translation>Nach unten vereinen</translation>
    </message>
    <message>
        <source>One layer with the one below it; several become one</source>
        <translation>Eine Ebene mit der darunter; mehrere werden eine</translation>
    </message>
    <message>
        <source>join unite together</source>
        <translation>verbinden vereinen zusammen</translation>
    </message>
    <message>
        <source>Part again</source>
        <translation>Wieder trennen</translation>
    </message>
    <message>
        <source>What was merged is apart again</source>
        <translation>Was vereint war, ist wieder getrennt</translation>
    </message>
    <message>
        <source>unmerge split</source>
        <translation>trennen teilen</translation>
    </message>
    <message>
        <source>Leave out</source>
        <translation>Auslassen</translation>
    </message>
    <message>
        <source>No sheet for it: what it is laid on shows there</source>
        <translation>Kein Bogen dafür: dort zeigt sich, worauf alles liegt</translation>
    </message>
    <message>
        <source>delete drop remove</source>
        <translation>löschen fallen lassen entfernen</translation>
    </message>
    <message>
        <source>Bring back</source>
        <translation>Zurückholen</translation>
    </message>
    <message>
        <source>It gets its sheet again</source>
        <translation>Sie bekommt ihren Bogen wieder</translation>
    </message>
    <message>
        <source>restore keep</source>
        <translation>wiederherstellen behalten</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Its regions, name and colour stay as they are; so do those of its group</source>
        <translation>Ihre Flächen, Name und Farbe bleiben, wie sie sind; die ihrer Gruppe auch</translation>
    </message>
    <message>
        <source>protect fix</source>
        <translation>schützen festhalten</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>It can be changed again</source>
        <translation>Sie kann wieder geändert werden</translation>
    </message>
    <message>
        <source>free</source>
        <translation>frei</translation>
    </message>
    <message>
        <source>Hide</source>
        <translation>Verbergen</translation>
    </message>
    <message>
        <source>It is not painted on the bench, but cut all the same</source>
        <translation>Sie wird auf der Werkbank nicht gezeigt, aber geschnitten</translation>
    </message>
    <message>
        <source>invisible eye</source>
        <translation>unsichtbar Auge</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>It is painted on the bench again</source>
        <translation>Sie wird auf der Werkbank wieder gezeigt</translation>
    </message>
    <message>
        <source>visible eye</source>
        <translation>sichtbar Auge</translation>
    </message>
    <message>
        <source>One group</source>
        <translation>Eine Gruppe</translation>
    </message>
    <message>
        <source>What is locked or hidden of one is so of all</source>
        <translation>Was von einer gesperrt oder ausgeblendet wird, wird es von allen</translation>
    </message>
    <message>
        <source>together set</source>
        <translation>zusammen Satz</translation>
    </message>
    <message>
        <source>Name…</source>
        <translation>Name…</translation>
    </message>
    <message>
        <source>Type another name in its row</source>
        <translation>Einen anderen Namen in ihrer Zeile eingeben</translation>
    </message>
    <message>
        <source>rename call</source>
        <translation>umbenennen nennen</translation>
    </message>
    <message>
        <source>Its pieces</source>
        <translation>Ihre Teile</translation>
    </message>
    <message>
        <source>Chooses its pieces, to do something to them</source>
        <translation>Wählt ihre Teile, um mit ihnen etwas zu tun</translation>
    </message>
    <message>
        <source>regions parts all</source>
        <translation>Flächen Teile alle</translation>
    </message>
    <message>
        <source>Merge</source>
        <translation>Vereinen</translation>
    </message>
    <message>
        <source>The chosen colours become one</source>
        <translation>Die gewählten Farben werden eine</translation>
    </message>
    <message>
        <source>join unite same</source>
        <translation>verbinden vereinen gleich</translation>
    </message>
    <message>
        <source>Split</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>Two colours of the chosen one</source>
        <translation>Zwei Farben aus der gewählten</translation>
    </message>
    <message>
        <source>part divide shades</source>
        <translation>teilen trennen Töne</translation>
    </message>
    <message>
        <source>Replace…</source>
        <translation>Ersetzen…</translation>
    </message>
    <message>
        <source>By a colour that is then clicked in the picture</source>
        <translation>Durch eine Farbe, die dann im Bild angeklickt wird</translation>
    </message>
    <message>
        <source>pick change other</source>
        <translation>wählen ändern andere</translation>
    </message>
    <message>
        <source>It stays whatever the number of colours</source>
        <translation>Sie bleibt, wie viele Farben es auch sind</translation>
    </message>
    <message>
        <source>keep protect</source>
        <translation>behalten schützen</translation>
    </message>
    <message>
        <source>It may go where there are fewer colours</source>
        <translation>Sie darf gehen, wo es weniger Farben sind</translation>
    </message>
    <message>
        <source>It is not cut, like the ground</source>
        <translation>Sie wird wie der Grund nicht geschnitten</translation>
    </message>
    <message>
        <source>remove delete drop</source>
        <translation>entfernen löschen weglassen</translation>
    </message>
    <message>
        <source>It is cut again</source>
        <translation>Sie wird wieder geschnitten</translation>
    </message>
    <message>
        <source>Its sheet one higher</source>
        <translation>Ihr Bogen eins höher</translation>
    </message>
    <message>
        <source>up raise order</source>
        <translation>hoch heben Reihenfolge</translation>
    </message>
    <message>
        <source>Its sheet one lower</source>
        <translation>Ihr Bogen eins tiefer</translation>
    </message>
    <message>
        <source>down order</source>
        <translation>tiefer Reihenfolge</translation>
    </message>
    <message>
        <source>the light is uneven</source>
        <translation>das Licht ist ungleich</translation>
    </message>
    <message>
        <source>Paper is {share:.0%} darker in places: one cut-off cannot suit all of it. Level the light, or let the cut-off follow it.</source>
        <translation>Das Papier ist stellenweise {share:.0%} dunkler: eine Schwelle passt nicht für alles. Gleiche das Licht aus oder lass die Schwelle ihm folgen.</translation>
    </message>
    <message>
        <source>the dots of a printing screen</source>
        <translation>die Punkte eines Druckrasters</translation>
    </message>
    <message>
        <source>A printing screen, a dot every {period:.1f} pixels: each dot would become a piece.</source>
        <translation>Ein Druckraster, alle {period:.1f} Pixel ein Punkt: jeder Punkt würde ein Teil.</translation>
    </message>
    <message>
        <source>blocks of compression</source>
        <translation>Blöcke der Kompression</translation>
    </message>
    <message>
        <source>Compression has left blocks of 8 pixels and rings along edges. They are cleaned away as far as can be; an uncompressed copy is better.</source>
        <translation>Die Kompression hat Blöcke von 8 Pixeln und Ringe an Kanten hinterlassen. Sie werden so gut es geht weggeräumt; eine unkomprimierte Kopie ist besser.</translation>
    </message>
    <message>
        <source>Calm it</source>
        <translation>Beruhigen</translation>
    </message>
    <message>
        <source>ink is hardly darker than paper</source>
        <translation>Tinte ist kaum dunkler als Papier</translation>
    </message>
    <message>
        <source>Ink is only {darker:.0f} of 255 darker than paper; thin lines will break. Lift the pencil.</source>
        <translation>Tinte ist nur {darker:.0f} von 255 dunkler als Papier; dünne Linien werden brechen. Hebe den Bleistift an.</translation>
    </message>
    <message>
        <source>a frame or page border runs around the picture</source>
        <translation>ein Rahmen oder Seitenrand läuft um das Bild</translation>
    </message>
    <message>
        <source>A frame or page border runs around the picture and would be cut. Crop to what is inside it, unless it belongs to the design.</source>
        <translation>Ein Rahmen oder Seitenrand läuft um das Bild und würde geschnitten. Beschneide auf das, was darin liegt, wenn er nicht zum Entwurf gehört.</translation>
    </message>
    <message>
        <source>Crop inside it</source>
        <translation>Innerhalb beschneiden</translation>
    </message>
    <message>
        <source>paper texture or a watermark</source>
        <translation>Papierstruktur oder ein Wasserzeichen</translation>
    </message>
    <message>
        <source>Paper texture or a watermark under the drawing. Level the light and take the grain out, or move the cut-off away from it.</source>
        <translation>Papierstruktur oder ein Wasserzeichen unter der Zeichnung. Gleiche das Licht aus und entferne das Korn, oder rücke die Schwelle davon weg.</translation>
    </message>
    <message>
        <source>Clean the paper</source>
        <translation>Papier reinigen</translation>
    </message>
    <message>
        <source>outlines are drawn as two strokes side by side</source>
        <translation>Umrisse sind als zwei Striche nebeneinander gezeichnet</translation>
    </message>
    <message>
        <source>Outlines are drawn as two strokes side by side, {gap_mm:.1f} mm apart: each would be cut twice. Fill the gap between them.</source>
        <translation>Umrisse sind als zwei Striche nebeneinander gezeichnet, {gap_mm:.1f} mm auseinander: jeder würde zweimal geschnitten. Fülle die Lücke dazwischen.</translation>
    </message>
    <message>
        <source>Fill the gap</source>
        <translation>Lücke füllen</translation>
    </message>
    <message>
        <source>something had to be assumed while opening the file</source>
        <translation>beim Öffnen der Datei musste etwas angenommen werden</translation>
    </message>
    <message>
        <source>{note}</source>
        <translation>{note}</translation>
    </message>
    <message>
        <source>Looking for colours</source>
        <translation>Suche nach Farben</translation>
    </message>
    <message>
        <source>Calming the shading</source>
        <translation>Die Schattierung wird beruhigt</translation>
    </message>
    <message>
        <source>Taking out slivers</source>
        <translation>Splitter werden herausgenommen</translation>
    </message>
    <message>
        <source>Drawing the tones</source>
        <translation>Die Töne werden gezeichnet</translation>
    </message>
    <message>
        <source>3 n + 1 points a ring</source>
        <translation>3 n + 1 Punkte je Ring</translation>
    </message>
    <message>
        <source>is larger than a font should be.</source>
        <translation>ist größer, als eine Schrift sein sollte.</translation>
    </message>
    <message>
        <source>could not be read as a font.</source>
        <translation>konnte nicht als Schrift gelesen werden.</translation>
    </message>
    <message>
        <source>Choose another font.</source>
        <translation>Wähle eine andere Schrift.</translation>
    </message>
    <message>
        <source>was to set {count} letters; one line of 1 to {max_letters} can be set.</source>
        <translation>sollte {count} Buchstaben setzen; eine Zeile von 1 bis {max_letters} geht.</translation>
    </message>
    <message>
        <source>film</source>
        <translation>Folie</translation>
    </message>
    <message>
        <source>heat film</source>
        <translation>Bügelfolie</translation>
    </message>
    <message>
        <source>flake film</source>
        <translation>Glitzerfolie</translation>
    </message>
    <message>
        <source>flocked film</source>
        <translation>Flockfolie</translation>
    </message>
    <message>
        <source>paper</source>
        <translation>Papier</translation>
    </message>
    <message>
        <source>card</source>
        <translation>Karton</translation>
    </message>
    <message>
        <source>board</source>
        <translation>Pappe</translation>
    </message>
    <message>
        <source>spacer</source>
        <translation>Abstandshalter</translation>
    </message>
    <message>
        <source>acrylic</source>
        <translation>Acryl</translation>
    </message>
    <message>
        <source>wood</source>
        <translation>Holz</translation>
    </message>
    <message>
        <source>fabric</source>
        <translation>Stoff</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>end mill</source>
        <translation>Schaftfräser</translation>
    </message>
    <message>
        <source>ball</source>
        <translation>Kugelfräser</translation>
    </message>
    <message>
        <source>V</source>
        <translation>V-Fräser</translation>
    </message>
    <message>
        <source>engraving point</source>
        <translation>Gravierstichel</translation>
    </message>
    <message>
        <source>drill</source>
        <translation>Bohrer</translation>
    </message>
    <message>
        <source>Diameter</source>
        <translation>Durchmesser</translation>
    </message>
    <message>
        <source>where it is widest</source>
        <translation>an der breitesten Stelle</translation>
    </message>
    <message>
        <source>Angle, °</source>
        <translation>Winkel, °</translation>
    </message>
    <message>
        <source>between the two sides of a V</source>
        <translation>zwischen den beiden Seiten eines V</translation>
    </message>
    <message>
        <source>Tip</source>
        <translation>Spitze</translation>
    </message>
    <message>
        <source>width of the flat at the end of a V</source>
        <translation>Breite der Fläche am Ende eines V</translation>
    </message>
    <message>
        <source>Cuts so long</source>
        <translation>Schneidenlänge</translation>
    </message>
    <message>
        <source>and so goes no deeper</source>
        <translation>tiefer geht es nicht</translation>
    </message>
    <message>
        <source>Feed, mm/s</source>
        <translation>Vorschub, mm/s</translation>
    </message>
    <message>
        <source>along the work</source>
        <translation>entlang des Werks</translation>
    </message>
    <message>
        <source>Plunge, mm/s</source>
        <translation>Eintauchen, mm/s</translation>
    </message>
    <message>
        <source>down into the work</source>
        <translation>hinab ins Werk</translation>
    </message>
    <message>
        <source>Step, share</source>
        <translation>Versatz, Anteil</translation>
    </message>
    <message>
        <source>to the next pass, of its diameter</source>
        <translation>zur nächsten Bahn, vom Durchmesser</translation>
    </message>
    <message>
        <source>a short text</source>
        <translation>ein kurzer Text</translation>
    </message>
    <message>
        <source>no more than the diameter</source>
        <translation>nicht mehr als der Durchmesser</translation>
    </message>
    <message>
        <source>tools of different keys</source>
        <translation>Werkzeuge mit verschiedenen Schlüsseln</translation>
    </message>
    <message>
        <source>End mill, 12 mm</source>
        <translation>Schaftfräser, 12 mm</translation>
    </message>
    <message>
        <source>End mill, 6 mm</source>
        <translation>Schaftfräser, 6 mm</translation>
    </message>
    <message>
        <source>End mill, 1/4 in</source>
        <translation>Schaftfräser, 1/4 in</translation>
    </message>
    <message>
        <source>End mill, 3 mm</source>
        <translation>Schaftfräser, 3 mm</translation>
    </message>
    <message>
        <source>End mill, 1/8 in</source>
        <translation>Schaftfräser, 1/8 in</translation>
    </message>
    <message>
        <source>End mill, 1 mm</source>
        <translation>Schaftfräser, 1 mm</translation>
    </message>
    <message>
        <source>Ball cutter, 6 mm</source>
        <translation>Kugelfräser, 6 mm</translation>
    </message>
    <message>
        <source>Ball cutter, 3 mm</source>
        <translation>Kugelfräser, 3 mm</translation>
    </message>
    <message>
        <source>V cutter, 90°</source>
        <translation>V-Fräser, 90°</translation>
    </message>
    <message>
        <source>V cutter, 60°</source>
        <translation>V-Fräser, 60°</translation>
    </message>
    <message>
        <source>V cutter, 90°, 1/2 in</source>
        <translation>V-Fräser, 90°, 1/2 in</translation>
    </message>
    <message>
        <source>Engraving point, 30°</source>
        <translation>Gravierspitze, 30°</translation>
    </message>
    <message>
        <source>Drill, 3 mm</source>
        <translation>Bohrer, 3 mm</translation>
    </message>
    <message>
        <source>Drill, 5 mm</source>
        <translation>Bohrer, 5 mm</translation>
    </message>
    <message>
        <source>some of {tools}</source>
        <translation>einige von {tools}</translation>
    </message>
    <message>
        <source>a list of at most {most}</source>
        <translation>eine Liste von höchstens {most}</translation>
    </message>
    <message>
        <source>Adhesive film</source>
        <translation>Klebefolie</translation>
    </message>
    <message>
        <source>Often chlorinated (PVC): never by laser.</source>
        <translation>Oft chlorhaltig (PVC): nie mit dem Laser.</translation>
    </message>
    <message>
        <source>Heat-transfer film</source>
        <translation>Bügelfolie</translation>
    </message>
    <message>
        <source>Hot press: mind your skin; the film&apos;s sheet says time and heat.</source>
        <translation>Heiße Presse: achte auf deine Haut; das Blatt zur Folie nennt Zeit und Hitze.</translation>
    </message>
    <message>
        <source>Flake film</source>
        <translation>Glitzerfolie</translation>
    </message>
    <message>
        <source>Never on flake film; on plain film yes. Hot press: mind your skin.</source>
        <translation>Nie auf Glitzerfolie; auf glatter Folie ja. Heiße Presse: achte auf deine Haut.</translation>
    </message>
    <message>
        <source>Flocked film</source>
        <translation>Flockfolie</translation>
    </message>
    <message>
        <source>Nothing bonds on its pile; it lies uppermost. Hot press: mind your skin.</source>
        <translation>Auf ihrem Flor hält nichts; sie liegt zuoberst. Heiße Presse: achte auf deine Haut.</translation>
    </message>
    <message>
        <source>Paper, 80 to 120 g/m²</source>
        <translation>Papier, 80 bis 120 g/m²</translation>
    </message>
    <message>
        <source>Laser: fire; never leave it alone.</source>
        <translation>Laser: Feuer; nie allein lassen.</translation>
    </message>
    <message>
        <source>Card, 160 to 300 g/m²</source>
        <translation>Karton, 160 bis 300 g/m²</translation>
    </message>
    <message>
        <source>Grey board</source>
        <translation>Graupappe</translation>
    </message>
    <message>
        <source>Deep cuts need several passes; keep fingers off the blade.</source>
        <translation>Tiefe Schnitte brauchen mehrere Gänge; halte die Finger vom Messer fern.</translation>
    </message>
    <message>
        <source>Foam spacer</source>
        <translation>Schaum als Abstandshalter</translation>
    </message>
    <message>
        <source>Foam gives off poisonous fumes by laser.</source>
        <translation>Schaum gibt unter dem Laser giftige Dämpfe ab.</translation>
    </message>
    <message>
        <source>Acrylic sheet</source>
        <translation>Acrylplatte</translation>
    </message>
    <message>
        <source>Laser: extraction, and never alone. Router: eyes, ears, chips.</source>
        <translation>Laser: Absaugung, und nie allein. Fräse: Augen, Ohren, Späne.</translation>
    </message>
    <message>
        <source>Plywood</source>
        <translation>Sperrholz</translation>
    </message>
    <message>
        <source>Laser: fire and smoke. Router: dust, noise, eyes.</source>
        <translation>Laser: Feuer und Rauch. Fräse: Staub, Lärm, Augen.</translation>
    </message>
    <message>
        <source>Felt or fabric</source>
        <translation>Filz oder Stoff</translation>
    </message>
    <message>
        <source>Laser: fire and smoke; man-made fibres give off poisonous fumes.</source>
        <translation>Laser: Feuer und Rauch; Kunstfasern geben giftige Dämpfe ab.</translation>
    </message>
    <message>
        <source>only the photo reading knows strong small details</source>
        <translation>nur die Foto-Lesart kennt starke kleine Details</translation>
    </message>
    <message>
        <source>only the line reading has strokes</source>
        <translation>nur die Linien-Lesart hat Striche</translation>
    </message>
    <message>
        <source>the colours of this picture were not looked for</source>
        <translation>nach den Farben dieses Bildes wurde nicht gesucht</translation>
    </message>
    <message>
        <source>another boundary is in the way</source>
        <translation>ein anderer Rand ist im Weg</translation>
    </message>
    <message>
        <source>a reading by colours needs the colours of the picture</source>
        <translation>eine Lesart nach Farben braucht die Farben des Bildes</translation>
    </message>
    <message>
        <source>Merging small regions</source>
        <translation>Kleine Flächen werden vereint</translation>
    </message>
    <message>
        <source>Finding regions</source>
        <translation>Flächen werden gesucht</translation>
    </message>
    <message>
        <source>Drawing the map</source>
        <translation>Die Karte wird gezeichnet</translation>
    </message>
    <message>
        <source>Fitting curves</source>
        <translation>Kurven werden angepasst</translation>
    </message>
    <message>
        <source>Cutting layers</source>
        <translation>Ebenen werden geschnitten</translation>
    </message>
    <message>
        <source>Looking for what may go wrong</source>
        <translation>Suche danach, was schiefgehen kann</translation>
    </message>
    <message>
        <source>Judging the picture</source>
        <translation>Das Bild wird beurteilt</translation>
    </message>
    <message>
        <source>looks like noise: neighbouring pixels have nothing in common, so there is no area to cut.</source>
        <translation>sieht nach Rauschen aus: benachbarte Pixel haben nichts gemeinsam, also gibt es keine Fläche zum Schneiden.</translation>
    </message>
    <message>
        <source>Use a picture with drawn shapes.</source>
        <translation>Nimm ein Bild mit gezeichneten Formen.</translation>
    </message>
    <message>
        <source>is one flat colour; there is nothing to trace.</source>
        <translation>ist eine einzige flache Farbe; es gibt nichts nachzuzeichnen.</translation>
    </message>
    <message>
        <source>Use a picture with drawn shapes, or keep the background.</source>
        <translation>Nimm ein Bild mit gezeichneten Formen oder behalte den Hintergrund.</translation>
    </message>
    <message>
        <source>2 to {max_colours} pictures make a work in layers; {count} were given.</source>
        <translation>2 bis {max_colours} Bilder ergeben eine Arbeit in Ebenen; gegeben wurden {count}.</translation>
    </message>
    <message>
        <source>is {width} × {height} px and {name} is {width2} × {height2}; layers share one frame.</source>
        <translation>hat {width} × {height} px und {name} hat {width2} × {height2}; Ebenen haben einen gemeinsamen Rahmen.</translation>
    </message>
    <message>
        <source>Export them with the same canvas.</source>
        <translation>Exportiere sie mit derselben Bildfläche.</translation>
    </message>
    <message>
        <source>is transparent all over.</source>
        <translation>ist überall durchsichtig.</translation>
    </message>
    <message>
        <source>Leave it out, or export it with its shapes.</source>
        <translation>Lass es weg oder exportiere es mit seinen Formen.</translation>
    </message>
    <message>
        <source>is one colour all over.</source>
        <translation>ist überall eine Farbe.</translation>
    </message>
    <message>
        <source>Lighthouse badge</source>
        <translation>Leuchtturm</translation>
    </message>
    <message>
        <source>Flat clipart in six colours, on a white ground</source>
        <translation>Flache Grafik in sechs Farben auf weißem Grund</translation>
    </message>
    <message>
        <source>Kingfisher sketch</source>
        <translation>Eisvogel-Skizze</translation>
    </message>
    <message>
        <source>An ink drawing as a scanner sees it</source>
        <translation>Eine Tuschezeichnung, wie ein Scanner sie sieht</translation>
    </message>
    <message>
        <source>Lantern panel</source>
        <translation>Laternentafel</translation>
    </message>
    <message>
        <source>Line art with many enclosed regions</source>
        <translation>Linienzeichnung mit vielen umschlossenen Flächen</translation>
    </message>
    <message>
        <source>Paper boat</source>
        <translation>Papierboot</translation>
    </message>
    <message>
        <source>Like a photograph: all shading, to be cut out by two strokes</source>
        <translation>Wie ein Foto: lauter Schattierung, mit zwei Strichen auszuschneiden</translation>
    </message>
    <message>
        <source>Pencil by phone</source>
        <translation>Bleistift per Telefon</translation>
    </message>
    <message>
        <source>A pencil sketch on a table, seen at a slant: flatten, level, lift</source>
        <translation>Eine Bleistiftskizze auf einem Tisch, schräg gesehen: flach machen, ebnen, abheben</translation>
    </message>
    <message>
        <source>Small mark</source>
        <translation>Kleines Zeichen</translation>
    </message>
    <message>
        <source>Few pixels, fringes and rings: its colours are found all the same</source>
        <translation>Wenige Pixel, Säume und Ringe: seine Farben werden trotzdem gefunden</translation>
    </message>
    <message>
        <source>Lantern page</source>
        <translation>Laternenseite</translation>
    </message>
    <message>
        <source>A page of a PDF in lines, two of which are to go</source>
        <translation>Eine PDF-Seite aus Linien, von denen zwei weg sollen</translation>
    </message>
    <message>
        <source>Five layers</source>
        <translation>Fünf Ebenen</translation>
    </message>
    <message>
        <source>Five pictures with one frame, a sheet each</source>
        <translation>Fünf Bilder mit einem Rahmen, je ein Bogen</translation>
    </message>
    <message>
        <source>Portrait</source>
        <translation>Porträt</translation>
    </message>
    <message>
        <source>A photo-like face for layered paper</source>
        <translation>Ein Gesicht wie ein Foto, für Papier in Schichten</translation>
    </message>
    <message>
        <source>Lantern banner</source>
        <translation>Laternenbanner</translation>
    </message>
    <message>
        <source>Wider than any carrier: its base is divided where it is seen least</source>
        <translation>Breiter als jeder Träger: Die unterste Ebene wird geteilt, wo man es am wenigsten sieht</translation>
    </message>
    <message>
        <source>Six badges</source>
        <translation>Sechs Abzeichen</translation>
    </message>
    <message>
        <source>Six of one evening in five colours, cut from shared sheets</source>
        <translation>Sechs eines Abends in fünf Farben, aus gemeinsamen Bogen geschnitten</translation>
    </message>
    <message>
        <source>Quay sign</source>
        <translation>Schild am Kai</translation>
    </message>
    <message>
        <source>An ornament and two words on a plaque, carved by a router</source>
        <translation>Ein Ornament und zwei Wörter auf einem Schild, von einer Fräse geschnitzt</translation>
    </message>
    <message>
        <source>Boats in pen</source>
        <translation>Boote mit dem Stift</translation>
    </message>
    <message>
        <source>Thin open lines for a pen</source>
        <translation>Dünne offene Linien für einen Stift</translation>
    </message>
    <message>
        <source>not saved: its settings and edits take {mb:.0f} MB, and at most {mb2} MB can be opened again. Let alternatives or drawn boundaries go.</source>
        <translation>nicht gespeichert: Einstellungen und Entscheidungen brauchen {mb:.0f} MB, und höchstens {mb2} MB lassen sich wieder öffnen. Gib Alternativen oder gezeichnete Ränder auf.</translation>
    </message>
    <message>
        <source>is a folder, not a project.</source>
        <translation>ist ein Ordner, kein Projekt.</translation>
    </message>
    <message>
        <source>is larger than a project can be.</source>
        <translation>ist größer, als ein Projekt sein kann.</translation>
    </message>
    <message>
        <source>there is no such file. Check the name and the folder.</source>
        <translation>diese Datei gibt es nicht. Prüfe Namen und Ordner.</translation>
    </message>
    <message>
        <source>holds no picture that can be shown.</source>
        <translation>enthält kein Bild, das gezeigt werden kann.</translation>
    </message>
    <message>
        <source>is not a project or is damaged; open an earlier copy.</source>
        <translation>ist kein Projekt oder beschädigt; öffne eine frühere Kopie.</translation>
    </message>
    <message>
        <source>holds {count} parts; a project has at most {max_members}.</source>
        <translation>enthält {count} Teile; ein Projekt hat höchstens {max_members}.</translation>
    </message>
    <message>
        <source>holds a part named {text!r}, which no project has; it is not opened.</source>
        <translation>enthält einen Teil namens {text!r}, den kein Projekt hat; es wird nicht geöffnet.</translation>
    </message>
    <message>
        <source>its part {filename} claims {mb:.0f} MB; at most {mb2} MB are read.</source>
        <translation>sein Teil {filename} gibt {mb:.0f} MB an; höchstens {mb2} MB werden gelesen.</translation>
    </message>
    <message>
        <source>has a part packed in a way that no project is; it is not opened.</source>
        <translation>hat einen Teil, der gepackt ist wie in keinem Projekt; es wird nicht geöffnet.</translation>
    </message>
    <message>
        <source>its part {filename} is larger than it says.</source>
        <translation>sein Teil {filename} ist größer, als er sagt.</translation>
    </message>
    <message>
        <source>lacks its part {wanted}; open an earlier copy.</source>
        <translation>ihm fehlt der Teil {wanted}; öffne eine frühere Kopie.</translation>
    </message>
    <message>
        <source>its settings are damaged; open an earlier copy.</source>
        <translation>seine Einstellungen sind beschädigt; öffne eine frühere Kopie.</translation>
    </message>
    <message>
        <source>is not a Sketch Loom project.</source>
        <translation>ist kein Projekt von Sketch Loom.</translation>
    </message>
    <message>
        <source>does not say which version of the program wrote it.</source>
        <translation>sagt nicht, welche Fassung des Programms es geschrieben hat.</translation>
    </message>
    <message>
        <source>was written by a newer version (schema {schema}; this one reads up to {schema2}). Update the program to open it.</source>
        <translation>wurde von einer neueren Fassung geschrieben (Schema {schema}; diese liest bis {schema2}). Aktualisiere das Programm, um es zu öffnen.</translation>
    </message>
    <message>
        <source>a setting in it is not allowed: {error}</source>
        <translation>eine Einstellung darin ist nicht erlaubt: {error}</translation>
    </message>
    <message>
        <source>Order of work</source>
        <translation>Reihenfolge der Arbeit</translation>
    </message>
    <message>
        <source>{number}  {name}: piece {first}</source>
        <translation>{number}  {name}: Teil {first}</translation>
    </message>
    <message>
        <source>{number}  {name}: pieces {first}–{last}</source>
        <translation>{number}  {name}: Teile {first}–{last}</translation>
    </message>
    <message>
        <source>A piece with an arrow nearly fits the wrong way round: the arrow points up.</source>
        <translation>Ein Teil mit Pfeil passt beinahe auch verkehrt herum: der Pfeil zeigt nach oben.</translation>
    </message>
    <message>
        <source>Up is up on this page; true size.</source>
        <translation>Oben ist auf dieser Seite oben; wahre Größe.</translation>
    </message>
    <message>
        <source>not written: {name} fits no carrier. Let it be divided, make the work smaller, or choose another machine.</source>
        <translation>nicht geschrieben: {name} passt auf keinen Träger. Lass sie teilen, mach die Arbeit kleiner oder wähle eine andere Maschine.</translation>
    </message>
    <message>
        <source>not written: there would be {count} files, and {most} are the most. Write a file per layer, or one file.</source>
        <translation>nicht geschrieben: es wären {count} Dateien, und höchstens {most} gehen. Schreibe eine Datei je Ebene oder eine Datei.</translation>
    </message>
    <message>
        <source>is not a folder.</source>
        <translation>ist kein Ordner.</translation>
    </message>
    <message>
        <source>this folder does not exist.</source>
        <translation>diesen Ordner gibt es nicht.</translation>
    </message>
    <message>
        <source>this folder could not be made.</source>
        <translation>dieser Ordner konnte nicht angelegt werden.</translation>
    </message>
    <message>
        <source>not written: it is to be {format}, and its suffix says {suffix}.</source>
        <translation>nicht geschrieben: es soll {format} sein, und die Endung sagt {suffix}.</translation>
    </message>
    <message>
        <source>not written: {why}</source>
        <translation>nicht geschrieben: {why}</translation>
    </message>
    <message>
        <source>Mend it, or ask for it all the same with --anyway.</source>
        <translation>Beheben, oder mit --anyway trotzdem verlangen.</translation>
    </message>
    <message>
        <source>not written: nothing is left to cut. Put a layer back in, keep the ground or choose more colours.</source>
        <translation>nicht geschrieben: es ist nichts mehr zu schneiden. Nimm eine Ebene wieder hinein, behalte den Grund oder wähle mehr Farben.</translation>
    </message>
    <message>
        <source>is full of folders of one name; choose another.</source>
        <translation>ist voller Ordner eines Namens; wähle einen anderen.</translation>
    </message>
    <message>
        <source>settings without alternatives of their own</source>
        <translation>Einstellungen ohne eigene Alternativen</translation>
    </message>
    <message>
        <source>at most {most}</source>
        <translation>höchstens {most}</translation>
    </message>
    <message>
        <source>an object with a name and a recipe</source>
        <translation>ein Objekt mit Namen und Rezept</translation>
    </message>
    <message>
        <source>entries of at least one colour</source>
        <translation>Einträge mit mindestens einer Farbe</translation>
    </message>
    <message>
        <source>keys of layers</source>
        <translation>Schlüssel von Ebenen</translation>
    </message>
    <message>
        <source>1 to 60 characters</source>
        <translation>1 bis 60 Zeichen</translation>
    </message>
    <message>
        <source>is too large for a file of presets. Choose another file.</source>
        <translation>ist zu groß für eine Datei von Vorlagen. Wähle eine andere Datei.</translation>
    </message>
    <message>
        <source>is no file of presets: it is not JSON. Choose a file that was exported here.</source>
        <translation>ist keine Datei von Vorlagen: es ist kein JSON. Wähle eine Datei, die hier exportiert wurde.</translation>
    </message>
    <message>
        <source>is no file of presets. Choose a file that was exported here.</source>
        <translation>ist keine Datei von Vorlagen. Wähle eine Datei, die hier exportiert wurde.</translation>
    </message>
    <message>
        <source>was written by a newer version of the program. Bring this one up to date.</source>
        <translation>wurde von einer neueren Fassung des Programms geschrieben. Bring diese auf den neuesten Stand.</translation>
    </message>
    <message>
        <source>preset {number} cannot be read: {error}</source>
        <translation>Vorlage {number} kann nicht gelesen werden: {error}</translation>
    </message>
    <message>
        <source>Page</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>page of a PDF</source>
        <translation>Seite eines PDF</translation>
    </message>
    <message>
        <source>Drawn with</source>
        <translation>Gezeichnet mit</translation>
    </message>
    <message>
        <source>how finely a PDF page or an SVG is drawn</source>
        <translation>wie fein eine PDF-Seite oder ein SVG gezeichnet wird</translation>
    </message>
    <message>
        <source>Keep the file&apos;s own curves</source>
        <translation>Die eigenen Kurven der Datei behalten</translation>
    </message>
    <message>
        <source>Finished size</source>
        <translation>Fertige Größe</translation>
    </message>
    <message>
        <source>of the side that size_side names; without it from the file&apos;s resolution, else 120 mm</source>
        <translation>der Seite, die size_side nennt; ohne sie nach der Auflösung der Datei, sonst 120 mm</translation>
    </message>
    <message>
        <source>Operation</source>
        <translation>Arbeitsgang</translation>
    </message>
    <message>
        <source>what is done</source>
        <translation>was getan wird</translation>
    </message>
    <message>
        <source>Cut along an outline</source>
        <translation>Am Umriss entlang schneiden</translation>
    </message>
    <message>
        <source>Pocket</source>
        <translation>Tasche</translation>
    </message>
    <message>
        <source>Groove along a line</source>
        <translation>Nut an einer Linie</translation>
    </message>
    <message>
        <source>V-carving</source>
        <translation>V-Schnitzen</translation>
    </message>
    <message>
        <source>Engrave along a line</source>
        <translation>An einer Linie gravieren</translation>
    </message>
    <message>
        <source>Drill</source>
        <translation>Bohren</translation>
    </message>
    <message>
        <source>Level the surface</source>
        <translation>Fläche abrichten</translation>
    </message>
    <message>
        <source>Break the edge</source>
        <translation>Kante brechen</translation>
    </message>
    <message>
        <source>Depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>below where it begins</source>
        <translation>unter dem, wo er beginnt</translation>
    </message>
    <message>
        <source>Begins at</source>
        <translation>Beginnt bei</translation>
    </message>
    <message>
        <source>so far below the upper face</source>
        <translation>so weit unter der Oberseite</translation>
    </message>
    <message>
        <source>Side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>where the tool runs</source>
        <translation>wo das Werkzeug läuft</translation>
    </message>
    <message>
        <source>Outside</source>
        <translation>Außen</translation>
    </message>
    <message>
        <source>Inside</source>
        <translation>Innen</translation>
    </message>
    <message>
        <source>On the line</source>
        <translation>Auf der Linie</translation>
    </message>
    <message>
        <source>Tabs</source>
        <translation>Haltestege</translation>
    </message>
    <message>
        <source>bridges that hold what is cut out</source>
        <translation>Stege, die halten, was ausgeschnitten wird</translation>
    </message>
    <message>
        <source>Length of a tab</source>
        <translation>Länge eines Stegs</translation>
    </message>
    <message>
        <source>along the cut</source>
        <translation>am Schnitt entlang</translation>
    </message>
    <message>
        <source>Height of a tab</source>
        <translation>Höhe eines Stegs</translation>
    </message>
    <message>
        <source>from the bottom of the cut</source>
        <translation>vom Grund des Schnitts</translation>
    </message>
    <message>
        <source>Lead in and out</source>
        <translation>An- und Abfahren</translation>
    </message>
    <message>
        <source>radius of the bow; 0 for none</source>
        <translation>Radius des Bogens; 0 für keinen</translation>
    </message>
    <message>
        <source>Cleared</source>
        <translation>Geräumt</translation>
    </message>
    <message>
        <source>how the tool goes over it</source>
        <translation>wie das Werkzeug darübergeht</translation>
    </message>
    <message>
        <source>Along its outline</source>
        <translation>Am Umriss entlang</translation>
    </message>
    <message>
        <source>To and fro</source>
        <translation>Hin und her</translation>
    </message>
    <message>
        <source>Angle</source>
        <translation>Winkel</translation>
    </message>
    <message>
        <source>of the passes to and fro</source>
        <translation>der Bahnen hin und her</translation>
    </message>
    <message>
        <source>what stays standing</source>
        <translation>was stehen bleibt</translation>
    </message>
    <message>
        <source>tool whose rests are cleared</source>
        <translation>Werkzeug, dessen Reste geräumt werden</translation>
    </message>
    <message>
        <source>Flat bottom at</source>
        <translation>Flacher Grund bei</translation>
    </message>
    <message>
        <source>no V goes deeper; 0 for no limit</source>
        <translation>kein V geht tiefer; 0 für keine Grenze</translation>
    </message>
    <message>
        <source>tool that clears what is wider than the V</source>
        <translation>Werkzeug, das räumt, was breiter als das V ist</translation>
    </message>
    <message>
        <source>Step</source>
        <translation>Zustellung</translation>
    </message>
    <message>
        <source>to the next pass; 0 for the tool&apos;s own</source>
        <translation>zur nächsten Bahn; 0 für die des Werkzeugs</translation>
    </message>
    <message>
        <source>Deeper a pass</source>
        <translation>Tiefer je Durchgang</translation>
    </message>
    <message>
        <source>0 for the tool&apos;s own</source>
        <translation>0 für das des Werkzeugs</translation>
    </message>
    <message>
        <source>Feed</source>
        <translation>Vorschub</translation>
    </message>
    <message>
        <source>mm/s; 0 for the tool&apos;s own</source>
        <translation>mm/s; 0 für den des Werkzeugs</translation>
    </message>
    <message>
        <source>Plunge</source>
        <translation>Eintauchen</translation>
    </message>
    <message>
        <source>Carved</source>
        <translation>Wird gefräst</translation>
    </message>
    <message>
        <source>left out where it is off</source>
        <translation>ausgelassen, wo es aus ist</translation>
    </message>
    <message>
        <source>the side that size_mm is of</source>
        <translation>die Seite, zu der size_mm gehört</translation>
    </message>
    <message>
        <source>Unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>how lengths are shown</source>
        <translation>wie Längen gezeigt werden</translation>
    </message>
    <message>
        <source>Backing</source>
        <translation>Unterlage</translation>
    </message>
    <message>
        <source>A sheet below all others that reaches beyond them all round, so that the work can be laid as one.</source>
        <translation>Ein Bogen unter allen anderen, der ringsum über sie hinausreicht, sodass die Arbeit als eins gelegt werden kann.</translation>
    </message>
    <message>
        <source>Base</source>
        <translation>Basis</translation>
    </message>
    <message>
        <source>The lowest sheet of a stack; what is solid under everything else.</source>
        <translation>Der unterste Bogen eines Stapels; was unter allem anderen voll ist.</translation>
    </message>
    <message>
        <source>Bench</source>
        <translation>Werkbank</translation>
    </message>
    <message>
        <source>The middle of the window: the work at true scale.</source>
        <translation>Die Mitte des Fensters: die Arbeit in wahrer Größe.</translation>
    </message>
    <message>
        <source>How far a print reaches beyond the line it is cut along, so that no white edge shows.</source>
        <translation>Wie weit ein Druck über die Schnittlinie hinausreicht, damit kein weißer Rand bleibt.</translation>
    </message>
    <message>
        <source>Boundary</source>
        <translation>Grenze</translation>
    </message>
    <message>
        <source>The line that two regions share. Moved, it moves for both.</source>
        <translation>Die Linie, die zwei Flächen teilen. Bewegt, bewegt sie sich für beide.</translation>
    </message>
    <message>
        <source>Bridge</source>
        <translation>Brücke</translation>
    </message>
    <message>
        <source>A short piece of ink over a gap in an outline, or a bar that holds a loose piece of a stencil.</source>
        <translation>Ein kurzes Stück Tinte über einer Lücke im Umriss, oder ein Steg, der ein loses Teil einer Schablone hält.</translation>
    </message>
    <message>
        <source>Carrier</source>
        <translation>Träger</translation>
    </message>
    <message>
        <source>The sticky mat or tray that a sheet lies on in the machine; its usable area is smaller than itself.</source>
        <translation>Die Haftmatte oder das Bett, worauf ein Bogen in der Maschine liegt; die nutzbare Fläche ist kleiner als er selbst.</translation>
    </message>
    <message>
        <source>Curtain</source>
        <translation>Vorhang</translation>
    </message>
    <message>
        <source>The upright line over the bench with the source on its left and the cut on its right.</source>
        <translation>Die senkrechte Linie über der Werkbank mit der Vorlage links und dem Schnitt rechts.</translation>
    </message>
    <message>
        <source>The grey at which ink ends and paper begins.</source>
        <translation>Das Grau, an dem Tinte endet und Papier beginnt.</translation>
    </message>
    <message>
        <source>Cutting length</source>
        <translation>Schnittlänge</translation>
    </message>
    <message>
        <source>All cut lines of all sheets together; with the lifts it decides how long the machine runs.</source>
        <translation>Alle Schnittlinien aller Bogen zusammen; mit den Hüben entscheidet sie, wie lange die Maschine läuft.</translation>
    </message>
    <message>
        <source>Design</source>
        <translation>Motiv</translation>
    </message>
    <message>
        <source>What hangs together on a page; a page may hold several.</source>
        <translation>Was auf einer Seite zusammenhängt; eine Seite kann mehrere haben.</translation>
    </message>
    <message>
        <source>Fitted</source>
        <translation>Eingepasst</translation>
    </message>
    <message>
        <source>Each sheet is cut to just what shows of it: flat and thin, and it must be laid exactly.</source>
        <translation>Jeder Bogen wird auf das geschnitten, was von ihm zu sehen ist: flach und dünn, und er muss genau gelegt werden.</translation>
    </message>
    <message>
        <source>Frame</source>
        <translation>Rahmen</translation>
    </message>
    <message>
        <source>Weeding frame: a cut around a sheet&apos;s parts, so that the waste comes off in one piece.</source>
        <translation>Entgitterrahmen: ein Schnitt um die Teile eines Bogens, damit der Abfall in einem Stück abgeht.</translation>
    </message>
    <message>
        <source>A place where an outline does not close; through it two areas become one.</source>
        <translation>Eine Stelle, an der ein Umriss nicht schließt; durch sie werden zwei Flächen eins.</translation>
    </message>
    <message>
        <source>What belongs to no sheet: the paper around and behind a drawing.</source>
        <translation>Was zu keinem Bogen gehört: das Papier um eine Zeichnung und hinter ihr.</translation>
    </message>
    <message>
        <source>Heat film</source>
        <translation>Bügelfolie</translation>
    </message>
    <message>
        <source>Film that is pressed onto cloth, cut from behind and therefore mirrored.</source>
        <translation>Folie, die auf Stoff gepresst und von hinten, darum gespiegelt, geschnitten wird.</translation>
    </message>
    <message>
        <source>Helper cut</source>
        <translation>Hilfsschnitt</translation>
    </message>
    <message>
        <source>A cut through the waste that makes it come off in small pieces.</source>
        <translation>Ein Schnitt durch den Abfall, damit er in kleinen Stücken abgeht.</translation>
    </message>
    <message>
        <source>Hole</source>
        <translation>Loch</translation>
    </message>
    <message>
        <source>An inner outline of a sheet.</source>
        <translation>Ein innerer Umriss eines Bogens.</translation>
    </message>
    <message>
        <source>Junction</source>
        <translation>Treffpunkt</translation>
    </message>
    <message>
        <source>A place where three regions meet.</source>
        <translation>Eine Stelle, an der drei Flächen zusammentreffen.</translation>
    </message>
    <message>
        <source>The width of what a laser or a router takes away along its path.</source>
        <translation>Die Breite dessen, was ein Laser oder eine Fräse entlang ihrer Bahn wegnimmt.</translation>
    </message>
    <message>
        <source>Layer</source>
        <translation>Ebene</translation>
    </message>
    <message>
        <source>All regions of one colour that are cut from one material; a sheet, once it is laid.</source>
        <translation>Alle Flächen einer Farbe, die aus einem Material geschnitten werden; gelegt ist sie ein Bogen.</translation>
    </message>
    <message>
        <source>Lean</source>
        <translation>Sparsam</translation>
    </message>
    <message>
        <source>Each sheet is as small as it can be without showing what is below: it cuts least.</source>
        <translation>Jeder Bogen ist so klein, wie er sein kann, ohne zu zeigen, was darunter ist: das schneidet am wenigsten.</translation>
    </message>
    <message>
        <source>Loose piece</source>
        <translation>Loses Teil</translation>
    </message>
    <message>
        <source>What falls out of a stencil, or lies free on the carrier once it is cut.</source>
        <translation>Was aus einer Schablone fällt oder nach dem Schnitt frei auf dem Träger liegt.</translation>
    </message>
    <message>
        <source>May slip</source>
        <translation>Spielraum</translation>
    </message>
    <message>
        <source>How far a piece may be laid amiss before the ground, or a third colour, shows.</source>
        <translation>Wie weit ein Teil falsch gelegt werden darf, bis der Grund oder eine dritte Farbe zu sehen ist.</translation>
    </message>
    <message>
        <source>Narrowest</source>
        <translation>Schmalste</translation>
    </message>
    <message>
        <source>The narrowest place of a sheet; what is narrower than its material bears tears.</source>
        <translation>Die schmalste Stelle eines Bogens; was schmaler ist, als sein Material trägt, reißt.</translation>
    </message>
    <message>
        <source>Node</source>
        <translation>Knoten</translation>
    </message>
    <message>
        <source>A point between two curves of an outline. Few nodes are calm sweeps for a blade.</source>
        <translation>Ein Punkt zwischen zwei Kurven eines Umrisses. Wenige Knoten sind ruhige Schwünge für eine Klinge.</translation>
    </message>
    <message>
        <source>Offcut</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>A rest of material that is large enough to be used.</source>
        <translation>Ein Rest Material, der groß genug zum Verwenden ist.</translation>
    </message>
    <message>
        <source>Overcut</source>
        <translation>Überschnitt</translation>
    </message>
    <message>
        <source>How far a blade goes on beyond the beginning of a closed cut, so that it comes free.</source>
        <translation>Wie weit eine Klinge über den Anfang eines geschlossenen Schnitts hinausgeht, damit er sich löst.</translation>
    </message>
    <message>
        <source>How far a sheet reaches under the one above, to hide a slip of the hand in laying.</source>
        <translation>Wie weit ein Bogen unter den darüber reicht, um ein Verrutschen beim Legen zu verbergen.</translation>
    </message>
    <message>
        <source>Palette</source>
        <translation>Palette</translation>
    </message>
    <message>
        <source>The colours a picture is read in.</source>
        <translation>Die Farben, in denen ein Bild gelesen wird.</translation>
    </message>
    <message>
        <source>Peeling tab</source>
        <translation>Abziehlasche</translation>
    </message>
    <message>
        <source>A corner of the waste that is easy to take hold of.</source>
        <translation>Eine Ecke des Abfalls, die sich gut fassen lässt.</translation>
    </message>
    <message>
        <source>Piece</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>What comes free as one when a sheet is cut.</source>
        <translation>Was sich als eins löst, wenn ein Bogen geschnitten ist.</translation>
    </message>
    <message>
        <source>Reading</source>
        <translation>Lesart</translation>
    </message>
    <message>
        <source>How a picture is understood: flat colours, ink on paper, thin lines, or a photograph.</source>
        <translation>Wie ein Bild verstanden wird: flache Farben, Tinte auf Papier, dünne Linien oder ein Foto.</translation>
    </message>
    <message>
        <source>An area of one colour with its outline; the smallest thing that can be dropped or coloured.</source>
        <translation>Ein Gebiet einer Farbe mit seinem Umriss; das Kleinste, das sich weglassen oder färben lässt.</translation>
    </message>
    <message>
        <source>Registration mark</source>
        <translation>Passmarke</translation>
    </message>
    <message>
        <source>A mark at the same place of every sheet, to lay them on each other.</source>
        <translation>Eine Marke an derselben Stelle jedes Bogens, um sie aufeinanderzulegen.</translation>
    </message>
    <message>
        <source>Rim</source>
        <translation>Rand</translation>
    </message>
    <message>
        <source>A sheet of even width around something.</source>
        <translation>Ein Bogen gleicher Breite um etwas herum.</translation>
    </message>
    <message>
        <source>Route</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>The order, direction and beginning of all cuts of a sheet.</source>
        <translation>Reihenfolge, Richtung und Anfang aller Schnitte eines Bogens.</translation>
    </message>
    <message>
        <source>Seam</source>
        <translation>Naht</translation>
    </message>
    <message>
        <source>Where a sheet that is larger than any carrier is divided.</source>
        <translation>Wo ein Bogen geteilt wird, der größer als jeder Träger ist.</translation>
    </message>
    <message>
        <source>All that an outline encloses as one area.</source>
        <translation>Alles, was ein Umriss umschließt, als eine Fläche.</translation>
    </message>
    <message>
        <source>What is less across goes to its neighbour, since it would tear or get lost.</source>
        <translation>Was schmaler ist, geht an den Nachbarn, da es reißen oder verloren gehen würde.</translation>
    </message>
    <message>
        <source>Spacer</source>
        <translation>Abstandhalter</translation>
    </message>
    <message>
        <source>What keeps two sheets of a stack apart, for depth.</source>
        <translation>Was zwei Bogen eines Stapels auseinanderhält, für die Tiefe.</translation>
    </message>
    <message>
        <source>Split line</source>
        <translation>Teilungslinie</translation>
    </message>
    <message>
        <source>A line along which a region becomes two.</source>
        <translation>Eine Linie, an der eine Fläche zu zweien wird.</translation>
    </message>
    <message>
        <source>Stacked</source>
        <translation>Gestapelt</translation>
    </message>
    <message>
        <source>Each sheet is whole under those above it: easy to lay, and thick.</source>
        <translation>Jeder Bogen ist unter denen darüber ganz: leicht zu legen, und dick.</translation>
    </message>
    <message>
        <source>Stretch</source>
        <translation>Strecke</translation>
    </message>
    <message>
        <source>A part of a boundary, or all of the line around an area.</source>
        <translation>Ein Teil einer Grenze, oder die ganze Linie um eine Fläche.</translation>
    </message>
    <message>
        <source>A drawn line from one meeting of lines to the next.</source>
        <translation>Eine gezeichnete Linie von einem Zusammentreffen zum nächsten.</translation>
    </message>
    <message>
        <source>A small star cut first, to see whether the blade goes through the film and not its paper.</source>
        <translation>Ein kleiner Stern, der zuerst geschnitten wird, um zu sehen, ob die Klinge durch die Folie geht und nicht durch ihr Papier.</translation>
    </message>
    <message>
        <source>Thickest</source>
        <translation>Dickste</translation>
    </message>
    <message>
        <source>How many sheets lie on each other at the thickest spot of a stack.</source>
        <translation>Wie viele Bogen an der dicksten Stelle eines Stapels aufeinanderliegen.</translation>
    </message>
    <message>
        <source>Weeding</source>
        <translation>Entgittern</translation>
    </message>
    <message>
        <source>Taking off what is not wanted of a film after it was cut.</source>
        <translation>Abnehmen, was nach dem Schnitt von einer Folie nicht gebraucht wird.</translation>
    </message>
    <message>
        <source>Window</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>An opening through sheets, through which a lower one shows.</source>
        <translation>Eine Öffnung durch Bogen, durch die ein tieferer zu sehen ist.</translation>
    </message>
    <message>
        <source>Windowed</source>
        <translation>Gefenstert</translation>
    </message>
    <message>
        <source>Each sheet is whole but for windows where a lower one shows: the fewest pieces.</source>
        <translation>Jeder Bogen ist ganz bis auf Fenster, wo ein tieferer zu sehen ist: am wenigsten Teile.</translation>
    </message>
    <message>
        <source>how the picture is read; auto: chosen from the picture</source>
        <translation>wie das Bild gelesen wird; auto: nach dem Bild gewählt</translation>
    </message>
    <message>
        <source>Choose for me</source>
        <translation>Für mich wählen</translation>
    </message>
    <message>
        <source>Colour: flat colours, a sheet each</source>
        <translation>Farbe: flache Farben, je ein Bogen</translation>
    </message>
    <message>
        <source>Tone: ink against paper</source>
        <translation>Ton: Tinte gegen Papier</translation>
    </message>
    <message>
        <source>Line: the middle of each stroke</source>
        <translation>Linie: die Mitte jedes Strichs</translation>
    </message>
    <message>
        <source>Photo: shading in a few tones</source>
        <translation>Foto: Schattierung in wenigen Tönen</translation>
    </message>
    <message>
        <source>default: chosen from the picture</source>
        <translation>ohne Angabe: nach dem Bild gewählt</translation>
    </message>
    <message>
        <source>Colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>number of colours; without it as many as the picture has</source>
        <translation>Zahl der Farben; ohne sie so viele, wie das Bild hat</translation>
    </message>
    <message>
        <source>1 to 24</source>
        <translation>1 bis 24</translation>
    </message>
    <message>
        <source>set once a colour was edited: the colours to cut, each a list of #rrggbb that belong to it, the first gives its look</source>
        <translation>gesetzt, sobald eine Farbe geändert wurde: die Farben zum Schneiden, jede eine Liste von #rrggbb, die zu ihr gehören, die erste bestimmt ihr Aussehen</translation>
    </message>
    <message>
        <source>#rrggbb that stay in the palette whatever the number of colours</source>
        <translation>#rrggbb, die in der Palette bleiben, wie viele Farben es auch sind</translation>
    </message>
    <message>
        <source>Cut-off</source>
        <translation>Schwelle</translation>
    </message>
    <message>
        <source>ink is at or under it; without it chosen from the picture</source>
        <translation>Tinte ist, was nicht heller ist; ohne sie nach dem Bild gewählt</translation>
    </message>
    <message>
        <source>cut-off of the tone reading</source>
        <translation>Schwelle der Ton-Lesart</translation>
    </message>
    <message>
        <source>Dark is ink</source>
        <translation>Dunkel ist Tinte</translation>
    </message>
    <message>
        <source>off: light ink on dark ground</source>
        <translation>aus: helle Tinte auf dunklem Grund</translation>
    </message>
    <message>
        <source>The cut-off follows the light</source>
        <translation>Die Schwelle folgt dem Licht</translation>
    </message>
    <message>
        <source>the cut-off follows the light; cut_off then shifts it around 128</source>
        <translation>die Schwelle folgt dem Licht; cut_off verschiebt sie dann um 128</translation>
    </message>
    <message>
        <source>the cut-off follows the light</source>
        <translation>die Schwelle folgt dem Licht</translation>
    </message>
    <message>
        <source>Silhouette</source>
        <translation>Silhouette</translation>
    </message>
    <message>
        <source>all that ink encloses is ink</source>
        <translation>alles, was Tinte umschließt, ist Tinte</translation>
    </message>
    <message>
        <source>Tones, one sheet each</source>
        <translation>Töne, je ein Bogen</translation>
    </message>
    <message>
        <source>tones of the photo reading</source>
        <translation>Töne der Foto-Lesart</translation>
    </message>
    <message>
        <source>Hues</source>
        <translation>Farbtöne</translation>
    </message>
    <message>
        <source>whether a photo&apos;s tones are steps within each of its hues, or one ramp from dark to light</source>
        <translation>ob die Töne eines Fotos Stufen innerhalb jedes seiner Farbtöne sind oder eine Reihe von dunkel nach hell</translation>
    </message>
    <message>
        <source>Apart where they differ</source>
        <translation>Getrennt, wo sie sich unterscheiden</translation>
    </message>
    <message>
        <source>One ramp from dark to light</source>
        <translation>Eine Reihe von dunkel nach hell</translation>
    </message>
    <message>
        <source>Kept apart</source>
        <translation>Getrennt gehalten</translation>
    </message>
    <message>
        <source>Draw dark outlines on top</source>
        <translation>Dunkle Umrisse obenauf</translation>
    </message>
    <message>
        <source>the darkest lines of a photo as a sheet on top of its tones</source>
        <translation>die dunkelsten Linien eines Fotos als Bogen über seinen Tönen</translation>
    </message>
    <message>
        <source>Keep eyes and other strong small details</source>
        <translation>Augen und andere starke kleine Details behalten</translation>
    </message>
    <message>
        <source>A small region that differs by several tones from what surrounds it stays, even under the smallest detail</source>
        <translation>Eine kleine Fläche, die sich um mehrere Töne von ihrer Umgebung unterscheidet, bleibt, auch unter dem kleinsten Detail</translation>
    </message>
    <message>
        <source>Width of the strokes</source>
        <translation>Breite der Striche</translation>
    </message>
    <message>
        <source>strokes of the line reading as shapes this wide, not pen lines</source>
        <translation>Striche der Linien-Lesart als Formen dieser Breite statt als Stiftlinien</translation>
    </message>
    <message>
        <source>Pens, a layer each</source>
        <translation>Stifte, je eine Ebene</translation>
    </message>
    <message>
        <source>a layer of pen lines for each of so many widths of stroke</source>
        <translation>eine Ebene Stiftlinien für jede von so vielen Strichbreiten</translation>
    </message>
    <message>
        <source>Shortest branch</source>
        <translation>Kürzester Ast</translation>
    </message>
    <message>
        <source>shorter side strokes of the line reading are dropped</source>
        <translation>kürzere Seitenstriche der Linien-Lesart fallen weg</translation>
    </message>
    <message>
        <source>places on strokes that were taken out</source>
        <translation>Stellen auf Strichen, die herausgenommen wurden</translation>
    </message>
    <message>
        <source>Make cuts nearer than this one</source>
        <translation>Schnitte, die näher liegen, zu einem machen</translation>
    </message>
    <message>
        <source>cuts nearer to each other than this along a length are made one</source>
        <translation>Schnitte, die auf einer Länge näher beieinander liegen, werden einer</translation>
    </message>
    <message>
        <source>What becomes of double outlines</source>
        <translation>Was aus doppelten Umrissen wird</translation>
    </message>
    <message>
        <source>which cut stays of two that run beside each other</source>
        <translation>welcher Schnitt bleibt, wo zwei nebeneinander laufen</translation>
    </message>
    <message>
        <source>One cut along the middle</source>
        <translation>Ein Schnitt durch die Mitte</translation>
    </message>
    <message>
        <source>The outer cut stays</source>
        <translation>Der äußere Schnitt bleibt</translation>
    </message>
    <message>
        <source>Filled between the two</source>
        <translation>Gefüllt zwischen beiden</translation>
    </message>
    <message>
        <source>regions grown by colour</source>
        <translation>nach Farbe gewachsene Flächen</translation>
    </message>
    <message>
        <source>parts with settings of their own</source>
        <translation>Teile mit eigenen Einstellungen</translation>
    </message>
    <message>
        <source>small details that stay, each by a place in it</source>
        <translation>kleine Details, die bleiben, jedes durch eine Stelle darin</translation>
    </message>
    <message>
        <source>Ground</source>
        <translation>Grund</translation>
    </message>
    <message>
        <source>what becomes of the picture&apos;s ground</source>
        <translation>was aus dem Grund des Bildes wird</translation>
    </message>
    <message>
        <source>Leave out, found for me</source>
        <translation>Weglassen, für mich gefunden</translation>
    </message>
    <message>
        <source>Leave out where it touches the edge</source>
        <translation>Weglassen, wo er den Rand berührt</translation>
    </message>
    <message>
        <source>Leave out everywhere</source>
        <translation>Überall weglassen</translation>
    </message>
    <message>
        <source>Keep as a layer</source>
        <translation>Als Ebene behalten</translation>
    </message>
    <message>
        <source>the ground becomes a layer</source>
        <translation>der Grund wird eine Ebene</translation>
    </message>
    <message>
        <source>Smallest detail</source>
        <translation>Kleinstes Detail</translation>
    </message>
    <message>
        <source>regions under a disc this wide go to a neighbour</source>
        <translation>Flächen unter einer Scheibe dieser Breite gehen an einen Nachbarn</translation>
    </message>
    <message>
        <source>regions under it go to a neighbour</source>
        <translation>kleinere Flächen gehen an einen Nachbarn</translation>
    </message>
    <message>
        <source>a way of reading</source>
        <translation>eine Art zu lesen</translation>
    </message>
    <message>
        <source>decisions about single regions, in the order in which they are applied</source>
        <translation>Entscheidungen über einzelne Flächen, in der Reihenfolge, in der sie gelten</translation>
    </message>
    <message>
        <source>only regions that edits keep or colour are there</source>
        <translation>nur Flächen, die Entscheidungen behalten oder färben, sind da</translation>
    </message>
    <message>
        <source>lines painted into the picture before it is read</source>
        <translation>Linien, ins Bild gemalt, bevor es gelesen wird</translation>
    </message>
    <message>
        <source>figures and words laid over the regions</source>
        <translation>Figuren und Wörter über den Flächen</translation>
    </message>
    <message>
        <source>split lines</source>
        <translation>Trennlinien</translation>
    </message>
    <message>
        <source>areas filled with what is around them</source>
        <translation>Bereiche, gefüllt mit dem, was darum liegt</translation>
    </message>
    <message>
        <source>Smallest width</source>
        <translation>Kleinste Breite</translation>
    </message>
    <message>
        <source>narrower places become findings</source>
        <translation>schmalere Stellen werden gemeldet</translation>
    </message>
    <message>
        <source>Outlines</source>
        <translation>Umrisse</translation>
    </message>
    <message>
        <source>true to the pixels (-2) to clean sweeps (3)</source>
        <translation>pixeltreu (-2) bis saubere Schwünge (3)</translation>
    </message>
    <message>
        <source>true to the pixels</source>
        <translation>pixeltreu</translation>
    </message>
    <message>
        <source>close</source>
        <translation>nah</translation>
    </message>
    <message>
        <source>balanced</source>
        <translation>ausgewogen</translation>
    </message>
    <message>
        <source>smooth</source>
        <translation>glatt</translation>
    </message>
    <message>
        <source>smoother</source>
        <translation>glatter</translation>
    </message>
    <message>
        <source>clean sweeps</source>
        <translation>saubere Schwünge</translation>
    </message>
    <message>
        <source>Make regular shapes exact</source>
        <translation>Regelmäßige Formen exakt machen</translation>
    </message>
    <message>
        <source>Circles, ellipses, level edges, round corners and symmetric outlines, where they keep as close to the picture as the curves do.</source>
        <translation>Kreise, Ellipsen, waagerechte Kanten, runde Ecken und symmetrische Umrisse, wo sie so nah am Bild bleiben wie die Kurven.</translation>
    </message>
    <message>
        <source>do not make circles, level lines, round corners and symmetric outlines exact</source>
        <translation>Kreise, waagerechte Linien, runde Ecken und symmetrische Umrisse nicht exakt machen</translation>
    </message>
    <message>
        <source>As few nodes as will do</source>
        <translation>So wenige Knoten wie möglich</translation>
    </message>
    <message>
        <source>stretches of boundary with another course</source>
        <translation>Stücke von Rändern mit anderem Verlauf</translation>
    </message>
    <message>
        <source>Way of layering</source>
        <translation>Art der Schichtung</translation>
    </message>
    <message>
        <source>how sheets are laid on each other; auto: proposed from the colours and materials</source>
        <translation>wie Bögen aufeinander liegen; auto: nach Farben und Material vorgeschlagen</translation>
    </message>
    <message>
        <source>proposed</source>
        <translation>vorgeschlagen</translation>
    </message>
    <message>
        <source>default: proposed</source>
        <translation>sonst: vorgeschlagen</translation>
    </message>
    <message>
        <source>fitted and lean sheets, and those on a base, reach so far under what covers them; without it 0, or what is proposed with the way</source>
        <translation>eingepasste und sparsame Bögen und die auf einer Basis reichen so weit unter das, was sie bedeckt; ohne Angabe 0 oder was mit der Art vorgeschlagen wird</translation>
    </message>
    <message>
        <source>how much the proposed order is to save cutting, pieces and film, to forgive mislaying, to lay no sheet for little, 0 to 1 each; 1, 0, 0 alone: what goes with the way of layering</source>
        <translation>wie sehr die vorgeschlagene Reihenfolge Schnitt, Teile und Folie sparen, schiefes Legen verzeihen und keinen Bogen für wenig legen soll, je 0 bis 1; 1, 0, 0 allein: was zur Schichtweise gehört</translation>
    </message>
    <message>
        <source>three to five shares from 0 to 1, not all 0</source>
        <translation>drei bis fünf Anteile von 0 bis 1, nicht alle 0</translation>
    </message>
    <message>
        <source>what a router carves, in its order; with any the work is carved instead of cut from sheets</source>
        <translation>was eine Fräse schnitzt, der Reihe nach; gibt es das, wird die Arbeit geschnitzt statt aus Bögen geschnitten</translation>
    </message>
    <message>
        <source>tools that operations name, beside the shipped ones</source>
        <translation>Werkzeuge, die Arbeitsgänge nennen, neben den mitgelieferten</translation>
    </message>
    <message>
        <source>a blank</source>
        <translation>ein Rohling</translation>
    </message>
    <message>
        <source>An SVG&apos;s lengths</source>
        <translation>Längen im SVG</translation>
    </message>
    <message>
        <source>what the reader of an SVG takes for an inch</source>
        <translation>was das Programm, das ein SVG liest, für einen Zoll nimmt</translation>
    </message>
    <message>
        <source>In millimetres</source>
        <translation>In Millimetern</translation>
    </message>
    <message>
        <source>Bare numbers, 96 an inch</source>
        <translation>Bloße Zahlen, 96 je Zoll</translation>
    </message>
    <message>
        <source>Bare numbers, 90 an inch</source>
        <translation>Bloße Zahlen, 90 je Zoll</translation>
    </message>
    <message>
        <source>Bare numbers, 72 an inch</source>
        <translation>Bloße Zahlen, 72 je Zoll</translation>
    </message>
    <message>
        <source>the reader of an SVG takes millimetres, or bare numbers of which so many are an inch</source>
        <translation>wer das SVG liest, nimmt Millimeter oder bloße Zahlen, von denen so viele ein Zoll sind</translation>
    </message>
    <message>
        <source>DXF version</source>
        <translation>DXF-Version</translation>
    </message>
    <message>
        <source>the version of a DXF</source>
        <translation>die Version eines DXF</translation>
    </message>
    <message>
        <source>R2000</source>
        <translation>R2000</translation>
    </message>
    <message>
        <source>R12, for old readers</source>
        <translation>R12, für alte Programme</translation>
    </message>
    <message>
        <source>Curves in a DXF</source>
        <translation>Kurven im DXF</translation>
    </message>
    <message>
        <source>what a DXF keeps of curves; R12 has no splines</source>
        <translation>was ein DXF von Kurven behält; R12 kennt keine Splines</translation>
    </message>
    <message>
        <source>Splines</source>
        <translation>Splines</translation>
    </message>
    <message>
        <source>Arcs</source>
        <translation>Kreisbögen</translation>
    </message>
    <message>
        <source>Straight lines</source>
        <translation>Gerade Linien</translation>
    </message>
    <message>
        <source>Arcs and lines within</source>
        <translation>Bögen und Linien innerhalb</translation>
    </message>
    <message>
        <source>how far arcs and lines may stray from curves</source>
        <translation>wie weit Bögen und Linien von Kurven abweichen dürfen</translation>
    </message>
    <message>
        <source>Dots an inch of a picture</source>
        <translation>Punkte je Zoll eines Bildes</translation>
    </message>
    <message>
        <source>resolution of a PNG or WebP</source>
        <translation>Auflösung eines PNG oder WebP</translation>
    </message>
    <message>
        <source>Paper of a PDF</source>
        <translation>Papier eines PDF</translation>
    </message>
    <message>
        <source>the paper that a PDF is parted over</source>
        <translation>das Papier, auf das ein PDF verteilt wird</translation>
    </message>
    <message>
        <source>A4, to glue</source>
        <translation>A4, zum Kleben</translation>
    </message>
    <message>
        <source>Letter, to glue</source>
        <translation>Letter, zum Kleben</translation>
    </message>
    <message>
        <source>As large as the work</source>
        <translation>So groß wie die Arbeit</translation>
    </message>
    <message>
        <source>a PDF parted over paper, with marks and an overlap to glue</source>
        <translation>ein PDF auf Papier verteilt, mit Marken und einem Streifen zum Kleben</translation>
    </message>
    <message>
        <source>Kerf</source>
        <translation>Schnittbreite</translation>
    </message>
    <message>
        <source>width that a beam or a cutter takes away; cuts move by half of it into the waste</source>
        <translation>Breite, die ein Strahl oder Fräser wegnimmt; Schnitte rücken um die Hälfte davon in den Abfall</translation>
    </message>
    <message>
        <source>Bleed</source>
        <translation>Anschnitt</translation>
    </message>
    <message>
        <source>how far printed colours run on past the cut</source>
        <translation>wie weit gedruckte Farben über den Schnitt hinaus laufen</translation>
    </message>
    <message>
        <source>White border of stickers</source>
        <translation>Weißer Rand der Aufkleber</translation>
    </message>
    <message>
        <source>white between the print and its cut; 0 for none</source>
        <translation>Weiß zwischen Druck und Schnitt; 0 für keines</translation>
    </message>
    <message>
        <source>Stickers show the picture itself</source>
        <translation>Aufkleber zeigen das Bild selbst</translation>
    </message>
    <message>
        <source>stickers are printed with the picture, else with the flat colours</source>
        <translation>Aufkleber werden mit dem Bild gedruckt, sonst mit den flachen Farben</translation>
    </message>
    <message>
        <source>somebody said that the picture may be used</source>
        <translation>jemand hat gesagt, dass das Bild verwendet werden darf</translation>
    </message>
    <message>
        <source>Names of a package</source>
        <translation>Namen eines Pakets</translation>
    </message>
    <message>
        <source>names of the files of a package, from {name}, {what}, {width}, {height} and {machine}</source>
        <translation>Namen der Dateien eines Pakets, aus {name}, {what}, {width}, {height} und {machine}</translation>
    </message>
    <message>
        <source>Dialect of machine code</source>
        <translation>Dialekt des Maschinencodes</translation>
    </message>
    <message>
        <source>key of the dialect of machine code; empty: the machine&apos;s own</source>
        <translation>Schlüssel des Dialekts des Maschinencodes; leer: der der Maschine</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>tone</source>
        <translation>Ton</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>photo</source>
        <translation>Foto</translation>
    </message>
    <message>
        <source>stacked</source>
        <translation>gestapelt</translation>
    </message>
    <message>
        <source>fitted</source>
        <translation>eingepasst</translation>
    </message>
    <message>
        <source>windowed</source>
        <translation>gefenstert</translation>
    </message>
    <message>
        <source>lean</source>
        <translation>sparsam</translation>
    </message>
    <message>
        <source>on a base</source>
        <translation>auf einer Basis</translation>
    </message>
    <message>
        <source>as prepared now, the picture would be read otherwise</source>
        <translation>so vorbereitet würde das Bild anders gelesen</translation>
    </message>
    <message>
        <source>It was read as {kept}. As it is prepared now, {better} would be proposed: other regions, so edits are found again by their places.</source>
        <translation>Es wurde als {kept} gelesen. So vorbereitet würde {better} vorgeschlagen: andere Flächen, Änderungen werden an ihren Stellen wiedergefunden.</translation>
    </message>
    <message>
        <source>Read it so</source>
        <translation>So lesen</translation>
    </message>
    <message>
        <source>as prepared now, the picture has another number of colours</source>
        <translation>so vorbereitet hat das Bild eine andere Zahl von Farben</translation>
    </message>
    <message>
        <source>It was opened with {kept:d} colours. As it is prepared now, {better:d} would be proposed.</source>
        <translation>Es wurde mit {kept:d} Farben geöffnet. So vorbereitet würden {better:d} vorgeschlagen.</translation>
    </message>
    <message>
        <source>Take that number</source>
        <translation>Diese Zahl nehmen</translation>
    </message>
    <message>
        <source>as prepared now, another cut-off would be proposed</source>
        <translation>so vorbereitet würde eine andere Schwelle vorgeschlagen</translation>
    </message>
    <message>
        <source>The cut-off stays at {kept:d}, as it was proposed at first. As the picture is prepared now, {better:d} would be.</source>
        <translation>Die Schwelle bleibt bei {kept:d}, wie zuerst vorgeschlagen. So vorbereitet wäre es {better:d}.</translation>
    </message>
    <message>
        <source>Take that cut-off</source>
        <translation>Diese Schwelle nehmen</translation>
    </message>
    <message>
        <source>another way of layering would be proposed now</source>
        <translation>jetzt würde eine andere Art der Schichtung vorgeschlagen</translation>
    </message>
    <message>
        <source>The sheets stay {kept}, as it was proposed at first. For what is cut now, {better} would be proposed.</source>
        <translation>Die Bögen bleiben {kept}, wie zuerst vorgeschlagen. Für das, was jetzt geschnitten wird, würde {better} vorgeschlagen.</translation>
    </message>
    <message>
        <source>Lay them so</source>
        <translation>So legen</translation>
    </message>
    <message>
        <source>a colour around the drawing is taken for its ground</source>
        <translation>eine Farbe rund um die Zeichnung gilt als ihr Grund</translation>
    </message>
    <message>
        <source>What runs all around the drawing, {name}, is taken for ground and not cut ({share:.0%} of the picture).</source>
        <translation>Was rund um die Zeichnung läuft, {name}, gilt als Grund und wird nicht geschnitten ({share:.0%} des Bildes).</translation>
    </message>
    <message>
        <source>Keep it as a layer</source>
        <translation>Als Ebene behalten</translation>
    </message>
    <message>
        <source>the ground&apos;s own colour within the drawing is cut as a sheet</source>
        <translation>die Farbe des Grundes wird innerhalb der Zeichnung als Bogen geschnitten</translation>
    </message>
    <message>
        <source>{name}, the ground&apos;s own colour, is cut as a sheet for 1 place within the drawing. Leave it open if what the work is laid on is to show there.</source>
        <translation>{name}, die Farbe des Grundes, wird für 1 Stelle innerhalb der Zeichnung als Bogen geschnitten. Lass sie offen, wenn dort zu sehen sein soll, worauf die Arbeit liegt.</translation>
    </message>
    <message>
        <source>{name}, the ground&apos;s own colour, is cut as a sheet for {count} places within the drawing. Leave it open if what the work is laid on is to show there.</source>
        <translation>{name}, die Farbe des Grundes, wird für {count} Stellen innerhalb der Zeichnung als Bogen geschnitten. Lass sie offen, wenn dort zu sehen sein soll, worauf die Arbeit liegt.</translation>
    </message>
    <message>
        <source>Leave it open</source>
        <translation>Offen lassen</translation>
    </message>
    <message>
        <source>a colour is only the soft edge between two others</source>
        <translation>eine Farbe ist nur der weiche Rand zwischen zwei anderen</translation>
    </message>
    <message>
        <source>{name} is only a band, about {width:.1f} mm wide, in a shade between {core} and {other}: a soft edge. Join it with {core}.</source>
        <translation>{name} ist nur ein Streifen, etwa {width:.1f} mm breit, in einem Ton zwischen {core} und {other}: ein weicher Rand. Verbinde ihn mit {core}.</translation>
    </message>
    <message>
        <source>{name} is only a band, about {width:.1f} mm wide, in a shade between {core} and the ground: a soft edge. Join it with {core}.</source>
        <translation>{name} ist nur ein Streifen, etwa {width:.1f} mm breit, in einem Ton zwischen {core} und dem Grund: ein weicher Rand. Verbinde ihn mit {core}.</translation>
    </message>
    <message>
        <source>Join it</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>Overlap</source>
        <translation>Überlappung</translation>
    </message>
    <message>
        <source>keys of layers, base first; empty: the proposed order</source>
        <translation>Schlüssel der Ebenen, die unterste zuerst; leer: die vorgeschlagene Reihenfolge</translation>
    </message>
    <message>
        <source>pairs (upper, lower) that proposed orders keep to</source>
        <translation>Paare (oben, unten), an die sich vorgeschlagene Reihenfolgen halten</translation>
    </message>
    <message>
        <source>what was decided about single layers</source>
        <translation>was über einzelne Ebenen entschieden wurde</translation>
    </message>
    <message>
        <source>sheets of an outline moved by a distance</source>
        <translation>Bogen aus einem verschobenen Umriss</translation>
    </message>
    <message>
        <source>Laid on</source>
        <translation>Liegt auf</translation>
    </message>
    <message>
        <source>colour of the shirt, wall or card below everything, when that was said</source>
        <translation>Farbe von Hemd, Wand oder Karton unter allem, wenn sie genannt wurde</translation>
    </message>
    <message>
        <source>Names in</source>
        <translation>Namen in</translation>
    </message>
    <message>
        <source>language that layers are named in</source>
        <translation>Sprache, in der Ebenen benannt werden</translation>
    </message>
    <message>
        <source>pairs of layers</source>
        <translation>Paare von Ebenen</translation>
    </message>
    <message>
        <source>Thickness of a sheet</source>
        <translation>Dicke eines Bogens</translation>
    </message>
    <message>
        <source>of sheets without a material</source>
        <translation>von Bogen ohne Material</translation>
    </message>
    <message>
        <source>Spacers between sheets</source>
        <translation>Abstandhalter zwischen Bogen</translation>
    </message>
    <message>
        <source>what is between two sheets</source>
        <translation>was zwischen zwei Bogen ist</translation>
    </message>
    <message>
        <source>Depth of the frame</source>
        <translation>Tiefe des Rahmens</translation>
    </message>
    <message>
        <source>inner depth of the frame that the stack is to fit</source>
        <translation>innere Tiefe des Rahmens, in den der Stapel passen soll</translation>
    </message>
    <message>
        <source>materials that layers name</source>
        <translation>Materialien, die Ebenen nennen</translation>
    </message>
    <message>
        <source>Cut by</source>
        <translation>Geschnitten mit</translation>
    </message>
    <message>
        <source>what cuts</source>
        <translation>was schneidet</translation>
    </message>
    <message>
        <source>blade</source>
        <translation>Klinge</translation>
    </message>
    <message>
        <source>laser</source>
        <translation>Laser</translation>
    </message>
    <message>
        <source>router</source>
        <translation>Fräse</translation>
    </message>
    <message>
        <source>Weeding frame</source>
        <translation>Entgitterrahmen</translation>
    </message>
    <message>
        <source>a frame is cut so far around every sheet</source>
        <translation>so weit um jeden Bogen wird ein Rahmen geschnitten</translation>
    </message>
    <message>
        <source>Helper cuts every</source>
        <translation>Hilfsschnitte alle</translation>
    </message>
    <message>
        <source>helper cuts through the waste in the frame, so far apart</source>
        <translation>Hilfsschnitte durch den Abfall im Rahmen, so weit auseinander</translation>
    </message>
    <message>
        <source>key of the carrier, or its size; auto: the smallest that does</source>
        <translation>Schlüssel des Trägers oder seine Größe; auto: der kleinste, der genügt</translation>
    </message>
    <message>
        <source>Copies</source>
        <translation>Exemplare</translation>
    </message>
    <message>
        <source>how many of the work are cut</source>
        <translation>wie viele von der Arbeit geschnitten werden</translation>
    </message>
    <message>
        <source>Divide</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>what becomes of a layer larger than any carrier</source>
        <translation>was aus einer Ebene wird, die größer ist als jeder Träger</translation>
    </message>
    <message>
        <source>Where it is seen least</source>
        <translation>Wo es am wenigsten zu sehen ist</translation>
    </message>
    <message>
        <source>Along a straight line</source>
        <translation>Entlang einer Geraden</translation>
    </message>
    <message>
        <source>Not at all</source>
        <translation>Gar nicht</translation>
    </message>
    <message>
        <source>layers larger than any carrier: along the seam that is seen least, along a straight one, or not at all</source>
        <translation>Ebenen, größer als jeder Träger: entlang der Naht, die am wenigsten zu sehen ist, entlang einer geraden, oder gar nicht</translation>
    </message>
    <message>
        <source>Joint</source>
        <translation>Stoß</translation>
    </message>
    <message>
        <source>how the parts of a divided layer meet</source>
        <translation>wie die Teile einer geteilten Ebene aneinanderstoßen</translation>
    </message>
    <message>
        <source>Edge to edge</source>
        <translation>Kante an Kante</translation>
    </message>
    <message>
        <source>One under the other</source>
        <translation>Eins unter dem anderen</translation>
    </message>
    <message>
        <source>Tongues that hold</source>
        <translation>Zungen, die halten</translation>
    </message>
    <message>
        <source>Overlap or tongue</source>
        <translation>Überlappung oder Zunge</translation>
    </message>
    <message>
        <source>how far one part reaches under the other, or a tongue&apos;s width</source>
        <translation>wie weit ein Teil unter den anderen reicht, oder die Breite einer Zunge</translation>
    </message>
    <message>
        <source>Matching marks</source>
        <translation>Passmarken der Naht</translation>
    </message>
    <message>
        <source>short cuts across a seam, by which its parts are laid together</source>
        <translation>kurze Schnitte quer über eine Naht, an denen ihre Teile aneinandergelegt werden</translation>
    </message>
    <message>
        <source>Where an upper sheet hides them</source>
        <translation>Wo eine obere Ebene sie verdeckt</translation>
    </message>
    <message>
        <source>Also where they are seen</source>
        <translation>Auch wo man sie sieht</translation>
    </message>
    <message>
        <source>Pieces of a layer</source>
        <translation>Stücke einer Ebene</translation>
    </message>
    <message>
        <source>whether the pieces of a layer keep their places on the sheet</source>
        <translation>ob die Stücke einer Ebene auf dem Bogen ihre Plätze behalten</translation>
    </message>
    <message>
        <source>As its material is laid</source>
        <translation>Wie ihr Material gelegt wird</translation>
    </message>
    <message>
        <source>Keep their places</source>
        <translation>Behalten ihre Plätze</translation>
    </message>
    <message>
        <source>Each for itself</source>
        <translation>Jedes für sich</translation>
    </message>
    <message>
        <source>May be turned</source>
        <translation>Darf gedreht werden</translation>
    </message>
    <message>
        <source>by how much parts may be turned to save material</source>
        <translation>wie weit Teile gedreht werden dürfen, um Material zu sparen</translation>
    </message>
    <message>
        <source>As its material bears</source>
        <translation>Wie ihr Material es verträgt</translation>
    </message>
    <message>
        <source>Freely</source>
        <translation>Frei</translation>
    </message>
    <message>
        <source>By 180°</source>
        <translation>Um 180°</translation>
    </message>
    <message>
        <source>By 90°</source>
        <translation>Um 90°</translation>
    </message>
    <message>
        <source>how far parts may be turned on a sheet</source>
        <translation>wie weit Teile auf einem Bogen gedreht werden dürfen</translation>
    </message>
    <message>
        <source>Between parts</source>
        <translation>Zwischen Teilen</translation>
    </message>
    <message>
        <source>least room between two parts on a sheet</source>
        <translation>kleinster Abstand zweier Teile auf einem Bogen</translation>
    </message>
    <message>
        <source>Mirrored</source>
        <translation>Gespiegelt</translation>
    </message>
    <message>
        <source>whether parts are cut mirrored, as film for a hot press is</source>
        <translation>ob Teile gespiegelt geschnitten werden, wie Folie für die Heißpresse</translation>
    </message>
    <message>
        <source>As its material asks</source>
        <translation>Wie das Material es verlangt</translation>
    </message>
    <message>
        <source>All of it</source>
        <translation>Alles</translation>
    </message>
    <message>
        <source>None of it</source>
        <translation>Nichts davon</translation>
    </message>
    <message>
        <source>Test cut</source>
        <translation>Probeschnitt</translation>
    </message>
    <message>
        <source>what is cut first in a free corner of every material, to try the settings</source>
        <translation>was zuerst in einer freien Ecke jedes Materials geschnitten wird, um die Einstellung zu prüfen</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Keiner</translation>
    </message>
    <message>
        <source>an SVG, a page of a PDF or a DXF is read as a drawing: its curves stay as they are, where they are seen</source>
        <translation>ein SVG, eine PDF-Seite oder ein DXF wird als Zeichnung gelesen: Seine Kurven bleiben, wie sie sind, wo man sie sieht</translation>
    </message>
    <message>
        <source>Where curves begin and end is found so that the fewest keep to the boundary, as somebody would draw them. Without it curves come sooner, with more nodes.</source>
        <translation>Wo Kurven beginnen und enden, wird so gefunden, dass die wenigsten der Grenze folgen, wie jemand sie zeichnen würde. Ohne das kommen Kurven eher, mit mehr Knoten.</translation>
    </message>
    <message>
        <source>the fewest curves that keep to the boundary (the default), or quicker</source>
        <translation>die wenigsten Kurven, die der Grenze folgen (Vorgabe), oder schneller</translation>
    </message>
    <message>
        <source>Thin lines drawn whole</source>
        <translation>Dünne Linien ganz zeichnen</translation>
    </message>
    <message>
        <source>Lines of less than two pixels between flat colours are found as lines of one colour and an even width, where pixels alone would make dashes of them.</source>
        <translation>Linien von weniger als zwei Pixeln zwischen flachen Farben werden als Linien einer Farbe und gleichmäßiger Breite gefunden, wo aus Pixeln allein Striche würden.</translation>
    </message>
    <message>
        <source>find lines of less than two pixels as lines (the default), or not</source>
        <translation>Linien von weniger als zwei Pixeln als Linien finden (Vorgabe) oder nicht</translation>
    </message>
    <message>
        <source>A star of half an inch</source>
        <translation>Ein Stern von einem halben Zoll</translation>
    </message>
    <message>
        <source>The narrowest detail</source>
        <translation>Die schmalste Stelle</translation>
    </message>
    <message>
        <source>a star of half an inch in a free corner of every material</source>
        <translation>ein Stern von einem halben Zoll in einer freien Ecke jedes Materials</translation>
    </message>
    <message>
        <source>Tab to peel by</source>
        <translation>Lasche zum Abziehen</translation>
    </message>
    <message>
        <source>a cut across a corner of every weeding frame, to take hold of the waste</source>
        <translation>ein Schnitt über eine Ecke jedes Entgitterrahmens, um den Abfall zu fassen</translation>
    </message>
    <message>
        <source>Time allowed</source>
        <translation>Erlaubte Zeit</translation>
    </message>
    <message>
        <source>minutes that cutting, weeding and laying may take</source>
        <translation>Minuten, die Schneiden, Entgittern und Legen dauern dürfen</translation>
    </message>
    <message>
        <source>seams put by hand</source>
        <translation>von Hand gelegte Nähte</translation>
    </message>
    <message>
        <source>where parts were put by hand</source>
        <translation>wohin Teile von Hand gelegt wurden</translation>
    </message>
    <message>
        <source>rests of material that are used up first</source>
        <translation>Materialreste, die zuerst verbraucht werden</translation>
    </message>
    <message>
        <source>a machine</source>
        <translation>eine Maschine</translation>
    </message>
    <message>
        <source>Marks on every sheet, to lay them by</source>
        <translation>Marken zum Legen auf jedem Bogen</translation>
    </message>
    <message>
        <source>Three round holes beside the work, so that no sheet can be laid turned or turned over, and the sheet&apos;s number in the fourth corner</source>
        <translation>Drei runde Löcher neben der Arbeit, damit kein Bogen verdreht oder umgedreht gelegt wird, und die Nummer des Bogens in der vierten Ecke</translation>
    </message>
    <message>
        <source>three holes beside the work on every sheet, to lay them by, and its number in the fourth corner</source>
        <translation>drei Löcher neben der Arbeit auf jedem Bogen, um ihn danach zu legen, und seine Nummer in der vierten Ecke</translation>
    </message>
    <message>
        <source>no process could be started to read it.</source>
        <translation>zum Lesen konnte kein Prozess gestartet werden.</translation>
    </message>
    <message>
        <source>Close other programs and try again.</source>
        <translation>Schließe andere Programme und versuche es noch einmal.</translation>
    </message>
    <message>
        <source>its reader failed on it, or it takes too much memory to be drawn.</source>
        <translation>der Leser ist daran gescheitert, oder es braucht zu viel Speicher, um gezeichnet zu werden.</translation>
    </message>
    <message>
        <source>Save a plain, simpler copy of it.</source>
        <translation>Speichere eine schlichte, einfachere Kopie davon.</translation>
    </message>
    <message>
        <source>takes too long to be drawn.</source>
        <translation>braucht zu lange, um gezeichnet zu werden.</translation>
    </message>
    <message>
        <source>takes too much memory to be drawn.</source>
        <translation>braucht zu viel Speicher, um gezeichnet zu werden.</translation>
    </message>
    <message>
        <source>there is one sheet</source>
        <translation>es gibt nur einen Bogen</translation>
    </message>
    <message>
        <source>tones of one shading are laid whole on each other</source>
        <translation>Töne einer Schattierung liegen ganz aufeinander</translation>
    </message>
    <message>
        <source>one colour carries all others, and thick sheets lie beside each other</source>
        <translation>eine Farbe trägt alle anderen, und dicke Bögen liegen nebeneinander</translation>
    </message>
    <message>
        <source>one colour borders nearly all others: it is the base, cut once around, and the others lie on it</source>
        <translation>eine Farbe grenzt an fast alle anderen: sie ist die Basis, einmal umschnitten, und die anderen liegen darauf</translation>
    </message>
    <message>
        <source>no colour carries the others, and whole sheets forgive most</source>
        <translation>keine Farbe trägt die anderen, und ganze Bögen verzeihen am meisten</translation>
    </message>
    <message>
        <source>no colour carries the others, so that what is covered is chosen for the least cutting</source>
        <translation>keine Farbe trägt die anderen, daher wird das Verdeckte nach dem kürzesten Schnitt gewählt</translation>
    </message>
    <message>
        <source>as it was proposed at first</source>
        <translation>wie zuerst vorgeschlagen</translation>
    </message>
    <message>
        <source>pen lines are not laid</source>
        <translation>Stiftlinien werden nicht gelegt</translation>
    </message>
    <message>
        <source>cubics end to end, a place more than three for each</source>
        <translation>kubische Bögen Ende an Ende, je drei Stellen und eine mehr</translation>
    </message>
    <message>
        <source>a rising number for each node</source>
        <translation>eine steigende Zahl je Knoten</translation>
    </message>
    <message>
        <source>numbers of nodes</source>
        <translation>Nummern von Knoten</translation>
    </message>
    <message>
        <source>margins that leave something to cut</source>
        <translation>Ränder, die etwas zum Schneiden lassen</translation>
    </message>
    <message>
        <source>carriers of different keys</source>
        <translation>Träger mit verschiedenen Schlüsseln</translation>
    </message>
    <message>
        <source>machines of different keys</source>
        <translation>Maschinen mit verschiedenen Schlüsseln</translation>
    </message>
    <message>
        <source>Blade cutter with carriers</source>
        <translation>Messerschneider mit Trägern</translation>
    </message>
    <message>
        <source>drag blades; a pen</source>
        <translation>Schleppmesser; ein Stift</translation>
    </message>
    <message>
        <source>Keep fingers and hair away from the moving head and store blades covered.</source>
        <translation>Finger und Haare vom fahrenden Kopf fernhalten, Messer abgedeckt aufbewahren.</translation>
    </message>
    <message>
        <source>Roll-fed cutter</source>
        <translation>Rollenschneider</translation>
    </message>
    <message>
        <source>The roll moves back and forth by itself; keep hands, hair and sleeves away.</source>
        <translation>Die Rolle fährt von selbst vor und zurück; Hände, Haare und Ärmel fernhalten.</translation>
    </message>
    <message>
        <source>Laser bed</source>
        <translation>Lasertisch</translation>
    </message>
    <message>
        <source>Laser: never chlorinated film such as PVC; extraction on, and never leave it alone.</source>
        <translation>Laser: nie chlorhaltige Folie wie PVC; Absaugung an, und nie allein lassen.</translation>
    </message>
    <message>
        <source>Router bed</source>
        <translation>Frästisch</translation>
    </message>
    <message>
        <source>end mills, V cutters</source>
        <translation>Schaftfräser, V-Fräser</translation>
    </message>
    <message>
        <source>Router: clamp the stuff, guard eyes, ears and lungs, and mind fire from dull tools.</source>
        <translation>Fräse: Werkstück einspannen, Augen, Ohren und Lunge schützen, bei stumpfen Werkzeugen droht Feuer.</translation>
    </message>
    <message>
        <source>Pen plotter</source>
        <translation>Stiftplotter</translation>
    </message>
    <message>
        <source>one of {keys}</source>
        <translation>eins von {keys}</translation>
    </message>
    <message>
        <source>given together with --machine</source>
        <translation>zusammen mit --machine</translation>
    </message>
    <message>
        <source>one of {keys}, or a size such as 300x400mm</source>
        <translation>eins von {keys} oder eine Größe wie 300x400mm</translation>
    </message>
    <message>
        <source>given together with --fit-into</source>
        <translation>zusammen mit --fit-into</translation>
    </message>
    <message>
        <source>given without --width and --height</source>
        <translation>ohne --width und --height</translation>
    </message>
    <message>
        <source>a size such as 120x300mm, and a material after a comma</source>
        <translation>eine Größe wie 120x300mm und nach einem Komma ein Material</translation>
    </message>
    <message>
        <source>a size</source>
        <translation>eine Größe</translation>
    </message>
    <message>
        <source>a size such as 19.5x26.5in, and --margin a length</source>
        <translation>eine Größe wie 19.5x26.5in, und für --margin eine Länge</translation>
    </message>
    <message>
        <source>a margin that leaves something of the place</source>
        <translation>ein Rand, der vom Platz etwas übrig lässt</translation>
    </message>
    <message>
        <source>is larger than a table of prices can be.</source>
        <translation>ist größer, als eine Preistabelle sein kann.</translation>
    </message>
    <message>
        <source>cannot be read.</source>
        <translation>kann nicht gelesen werden.</translation>
    </message>
    <message>
        <source>Name a file of prices that is there.</source>
        <translation>Nenne eine Preisdatei, die es gibt.</translation>
    </message>
    <message>
        <source>is not a table of prices: it holds no JSON.</source>
        <translation>ist keine Preistabelle: Sie enthält kein JSON.</translation>
    </message>
    <message>
        <source>docs/formats.md says what it holds.</source>
        <translation>docs/formats.md sagt, was darin steht.</translation>
    </message>
    <message>
        <source>a layer fits no carrier and is not divided</source>
        <translation>eine Ebene passt auf keinen Träger und wird nicht geteilt</translation>
    </message>
    <message>
        <source>{name} is {wide:.0f} × {high:.0f} mm and fits no carrier of this machine. Let it be divided, make the work smaller, or choose another machine.</source>
        <translation>{name} ist {wide:.0f} × {high:.0f} mm groß und passt auf keinen Träger dieser Maschine. Lass sie teilen, mach die Arbeit kleiner oder wähle eine andere Maschine.</translation>
    </message>
    <message>
        <source>there are more parts than one plan takes</source>
        <translation>es gibt mehr Teile, als ein Plan fasst</translation>
    </message>
    <message>
        <source>There are more than {most} parts, and no more are planned at once. Make fewer copies, let the pieces keep their places, or plan in several goes.</source>
        <translation>Es gibt mehr als {most} Teile, und mehr werden nicht auf einmal geplant. Mach weniger Exemplare, lass die Stücke ihre Plätze behalten oder plane in mehreren Gängen.</translation>
    </message>
    <message>
        <source>a layer is divided where the seam is seen</source>
        <translation>eine Ebene wird geteilt, wo die Naht zu sehen ist</translation>
    </message>
    <message>
        <source>{name} is divided into {parts} parts; {seen:.0f} mm of the seam are seen. Move it, or make the work smaller.</source>
        <translation>{name} wird in {parts} Teile geteilt; {seen:.0f} mm der Naht sind zu sehen. Verschieb sie oder mach die Arbeit kleiner.</translation>
    </message>
    <message>
        <source>the joint of a divided layer found no room</source>
        <translation>der Stoß einer geteilten Ebene fand keinen Platz</translation>
    </message>
    <message>
        <source>{name}: the seam is too short, or the parts too large, for the joint that was asked for; they meet edge to edge. Make it narrower, or move the seam.</source>
        <translation>{name}: Die Naht ist zu kurz oder die Teile sind zu groß für den gewünschten Stoß; sie stoßen Kante an Kante. Mach ihn schmaler oder verschieb die Naht.</translation>
    </message>
    <message>
        <source>a divided part is narrower than its material bears</source>
        <translation>ein geteiltes Teil ist schmaler, als sein Material verträgt</translation>
    </message>
    <message>
        <source>{name}: beside the seam a part is narrower than the {bears:g} mm that are wanted. Move the seam.</source>
        <translation>{name}: Neben der Naht ist ein Teil schmaler als die {bears:g} mm, die nötig sind. Verschieb die Naht.</translation>
    </message>
    <message>
        <source>two parts lie nearer than the gap, or on each other</source>
        <translation>zwei Teile liegen näher als der Abstand oder aufeinander</translation>
    </message>
    <message>
        <source>On sheet {sheet} a part lies nearer to another than {gap:g} mm. Move it, or let it be placed.</source>
        <translation>Auf Bogen {sheet} liegt ein Teil näher als {gap:g} mm an einem anderen. Verschieb es oder lass es platzieren.</translation>
    </message>
    <message>
        <source>On sheet {sheet} {count} parts lie nearer to each other than {gap:g} mm. Move them, or let them be placed.</source>
        <translation>Auf Bogen {sheet} liegen {count} Teile näher als {gap:g} mm beieinander. Verschieb sie oder lass sie platzieren.</translation>
    </message>
    <message>
        <source>Let them be placed</source>
        <translation>Platzieren lassen</translation>
    </message>
    <message>
        <source>a part hangs over what can be cut</source>
        <translation>ein Teil ragt über das hinaus, was geschnitten werden kann</translation>
    </message>
    <message>
        <source>On sheet {sheet} a part hangs over the edge of what can be cut. Move it, or let it be placed.</source>
        <translation>Auf Bogen {sheet} ragt ein Teil über den Rand des Schneidbaren. Verschieb es oder lass es platzieren.</translation>
    </message>
    <message>
        <source>On sheet {sheet} {count} parts hang over the edge of what can be cut. Move them, or let them be placed.</source>
        <translation>Auf Bogen {sheet} ragen {count} Teile über den Rand des Schneidbaren. Verschieb sie oder lass sie platzieren.</translation>
    </message>
    <message>
        <source>heat film is not mirrored, or what is no heat film is</source>
        <translation>Pressfolie ist nicht gespiegelt, oder anderes ist es</translation>
    </message>
    <message>
        <source>{name} is {family}, which the press bonds face down: it has to be cut mirrored.</source>
        <translation>{name} ist {family}; die Presse verbindet sie mit der Sichtseite nach unten: Sie muss gespiegelt geschnitten werden.</translation>
    </message>
    <message>
        <source>{name} is cut mirrored, though it is no film for the press: laid as it is cut it would be the wrong way round.</source>
        <translation>{name} wird gespiegelt geschnitten, obwohl es keine Pressfolie ist: So gelegt läge es verkehrt herum.</translation>
    </message>
    <message>
        <source>Mirror as the material asks</source>
        <translation>Spiegeln, wie das Material es verlangt</translation>
    </message>
    <message>
        <source>a sheet is nearly empty</source>
        <translation>ein Bogen ist fast leer</translation>
    </message>
    <message>
        <source>Sheet {sheet}, {name}, is {share:.0%} used. Something else of this colour could be cut from it.</source>
        <translation>Bogen {sheet}, {name}, ist zu {share:.0%} genutzt. Anderes von dieser Farbe ließe sich noch daraus schneiden.</translation>
    </message>
    <message>
        <source>the smallest detail is under what the machine&apos;s blade turns in</source>
        <translation>das kleinste Detail ist enger, als das Messer der Maschine wendet</translation>
    </message>
    <message>
        <source>{name} has a detail of {width:.2f} mm; a blade that trails by {offset:g} mm wants {least:g} mm at least.</source>
        <translation>{name} hat ein Detail von {width:.2f} mm; ein Messer, das {offset:g} mm nachläuft, braucht mindestens {least:g} mm.</translation>
    </message>
    <message>
        <source>the work takes longer than is allowed</source>
        <translation>die Arbeit dauert länger als erlaubt</translation>
    </message>
    <message>
        <source>Cutting, weeding and laying take {minutes:.0f} minutes; {most} are allowed.</source>
        <translation>Schneiden, Entgittern und Legen dauern {minutes:.0f} Minuten; erlaubt sind {most}.</translation>
    </message>
    <message>
        <source>the machine must not cut this material</source>
        <translation>die Maschine darf dieses Material nicht schneiden</translation>
    </message>
    <message>
        <source>{name} is not cut by a {tool}. Choose another machine or material; the machine&apos;s manual decides.</source>
        <translation>{name} wird nicht geschnitten von: {tool}. Wähle eine andere Maschine oder ein anderes Material; das Handbuch der Maschine entscheidet.</translation>
    </message>
    <message>
        <source>a layer has no material yet</source>
        <translation>eine Ebene hat noch kein Material</translation>
    </message>
    <message>
        <source>{name} has no material yet: what it is cut from, how it is turned and whether it is mirrored is not known.</source>
        <translation>{name} hat noch kein Material: Woraus sie geschnitten, wie sie gedreht und ob sie gespiegelt wird, ist nicht bekannt.</translation>
    </message>
    <message>
        <source>{count} layers have no material yet, {name} first: what they are cut from, how they are turned and whether they are mirrored is not known.</source>
        <translation>{count} Ebenen haben noch kein Material, zuerst {name}: Woraus sie geschnitten, wie sie gedreht und ob sie gespiegelt werden, ist nicht bekannt.</translation>
    </message>
    <message>
        <source>at most {most} points</source>
        <translation>höchstens {most} Punkte</translation>
    </message>
    <message>
        <source>rings of three points or more within the size</source>
        <translation>Ringe aus drei Punkten oder mehr innerhalb der Größe</translation>
    </message>
    <message>
        <source>pairs such as 0,0 120,0 120,80</source>
        <translation>Paare wie 0,0 120,0 120,80</translation>
    </message>
    <message>
        <source>a size between {least} and {most} mm</source>
        <translation>eine Größe zwischen {least} und {most} mm</translation>
    </message>
    <message>
        <source>board 19.5 × 26.5 in</source>
        <translation>Tafel 19,5 × 26,5 in</translation>
    </message>
    <message>
        <source>shirt, front</source>
        <translation>Hemd, vorn</translation>
    </message>
    <message>
        <source>shirt, chest</source>
        <translation>Hemd, Brust</translation>
    </message>
    <message>
        <source>mug, one side</source>
        <translation>Becher, eine Seite</translation>
    </message>
    <message>
        <source>A4 card</source>
        <translation>Karte A4</translation>
    </message>
    <message>
        <source>For approval</source>
        <translation>Zur Freigabe</translation>
    </message>
    <message>
        <source>Revision {number}</source>
        <translation>Fassung {number}</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Colours and materials</source>
        <translation>Farben und Materialien</translation>
    </message>
    <message>
        <source>Every layer</source>
        <translation>Jede Ebene</translation>
    </message>
    <message>
        <source>material not said</source>
        <translation>Material nicht genannt</translation>
    </message>
    <message>
        <source>Blank</source>
        <translation>Rohling</translation>
    </message>
    <message>
        <source>{wide:.0f} × {high:.0f} mm, {thick:g} mm thick</source>
        <translation>{wide:.0f} × {high:.0f} mm, {thick:g} mm dick</translation>
    </message>
    <message>
        <source>rim {rim:g} mm, field {recess:g} mm below it</source>
        <translation>Rand {rim:g} mm, Feld {recess:g} mm darunter</translation>
    </message>
    <message>
        <source>Work: {wide:.0f} × {high:.0f} mm</source>
        <translation>Arbeit: {wide:.0f} × {high:.0f} mm</translation>
    </message>
    <message>
        <source>What is carved</source>
        <translation>Was geschnitzt wird</translation>
    </message>
    <message>
        <source>{tool}, {depth:g} mm deep</source>
        <translation>{tool}, {depth:g} mm tief</translation>
    </message>
    <message>
        <source>Approved as shown</source>
        <translation>So freigegeben</translation>
    </message>
    <message>
        <source>{minutes:.0f} minutes of the machine, {tools} tools</source>
        <translation>{minutes:.0f} Minuten der Maschine, {tools} Werkzeuge</translation>
    </message>
    <message>
        <source>Date</source>
        <translation>Datum</translation>
    </message>
    <message>
        <source>Wood, stone and paint differ from piece to piece; a sample decides. What is shown is computed from the tools&apos; own moves.</source>
        <translation>Holz, Stein und Farbe sind bei jedem Stück anders; ein Muster entscheidet. Was zu sehen ist, wurde aus den Bewegungen der Werkzeuge berechnet.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Nothing has changed since the last revision.</source>
        <translation>Seit der letzten Fassung hat sich nichts geändert.</translation>
    </message>
    <message>
        <source>Changed since the last revision</source>
        <translation>Seit der letzten Fassung geändert</translation>
    </message>
    <message>
        <source>size, before {wide:.1f} × {high:.1f} mm</source>
        <translation>Größe, vorher {wide:.1f} × {high:.1f} mm</translation>
    </message>
    <message>
        <source>without {name}</source>
        <translation>ohne {name}</translation>
    </message>
    <message>
        <source>new: {name}</source>
        <translation>neu: {name}</translation>
    </message>
    <message>
        <source>{name} was {hex}</source>
        <translation>{name} war {hex}</translation>
    </message>
    <message>
        <source>{count} places of the picture, framed in red</source>
        <translation>{count} Stellen des Bildes, rot umrahmt</translation>
    </message>
    <message>
        <source>Colours on screen and paper differ from those of the material; a sample decides.</source>
        <translation>Farben auf Bildschirm und Papier weichen von denen des Materials ab; ein Muster entscheidet.</translation>
    </message>
    <message>
        <source>Whoever orders says that they may use this picture.</source>
        <translation>Wer bestellt, sagt damit, dass er dieses Bild verwenden darf.</translation>
    </message>
    <message>
        <source>Quote</source>
        <translation>Angebot</translation>
    </message>
    <message>
        <source>a moment such as 2026-11-30T14:05</source>
        <translation>ein Zeitpunkt wie 2026-11-30T14:05</translation>
    </message>
    <message>
        <source>Family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>Material</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Batch</source>
        <translation>Charge</translation>
    </message>
    <message>
        <source>Price</source>
        <translation>Preis</translation>
    </message>
    <message>
        <source>Price for</source>
        <translation>Preis je</translation>
    </message>
    <message>
        <source>a sheet</source>
        <translation>einen Bogen</translation>
    </message>
    <message>
        <source>a metre</source>
        <translation>einen Meter</translation>
    </message>
    <message>
        <source>a square metre</source>
        <translation>einen Quadratmeter</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Bought</source>
        <translation>Gekauft</translation>
    </message>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>New since</source>
        <translation>Neu seit</translation>
    </message>
    <message>
        <source>blade cutter</source>
        <translation>Klingenschneider</translation>
    </message>
    <message>
        <source>pen plotter</source>
        <translation>Stiftplotter</translation>
    </message>
    <message>
        <source>In use since</source>
        <translation>In Gebrauch seit</translation>
    </message>
    <message>
        <source>Description</source>
        <translation>Beschreibung</translation>
    </message>
    <message>
        <source>Force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>Verdict</source>
        <translation>Urteil</translation>
    </message>
    <message>
        <source>not through</source>
        <translation>nicht durch</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>too deep</source>
        <translation>zu tief</translation>
    </message>
    <message>
        <source>torn</source>
        <translation>gerissen</translation>
    </message>
    <message>
        <source>corner lifted</source>
        <translation>Ecke gehoben</translation>
    </message>
    <message>
        <source>Tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>Passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>Test piece</source>
        <translation>Teststück</translation>
    </message>
    <message>
        <source>Number</source>
        <translation>Nummer</translation>
    </message>
    <message>
        <source>Picture</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>When</source>
        <translation>Wann</translation>
    </message>
    <message>
        <source>Stars</source>
        <translation>Sterne</translation>
    </message>
    <message>
        <source>pairs of force and speed such as 90,50 120,50</source>
        <translation>Paare aus Kraft und Geschwindigkeit wie 90,50 120,50</translation>
    </message>
    <message>
        <source>Work</source>
        <translation>Werk</translation>
    </message>
    <message>
        <source>Files</source>
        <translation>Dateien</translation>
    </message>
    <message>
        <source>Digest</source>
        <translation>Prüfsumme</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Planned, s</source>
        <translation>Geplant, s</translation>
    </message>
    <message>
        <source>Real, s</source>
        <translation>Wirklich, s</translation>
    </message>
    <message>
        <source>Cutting, s</source>
        <translation>Schneiden, s</translation>
    </message>
    <message>
        <source>Travelling, s</source>
        <translation>Fahren, s</translation>
    </message>
    <message>
        <source>Lifting, s</source>
        <translation>Heben, s</translation>
    </message>
    <message>
        <source>Weeding, s</source>
        <translation>Entgittern, s</translation>
    </message>
    <message>
        <source>Laying, s</source>
        <translation>Legen, s</translation>
    </message>
    <message>
        <source>Film, mm²</source>
        <translation>Folie, mm²</translation>
    </message>
    <message>
        <source>Cost</source>
        <translation>Kosten</translation>
    </message>
    <message>
        <source>State</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>geplant</translation>
    </message>
    <message>
        <source>running</source>
        <translation>läuft</translation>
    </message>
    <message>
        <source>done</source>
        <translation>fertig</translation>
    </message>
    <message>
        <source>failed</source>
        <translation>misslungen</translation>
    </message>
    <message>
        <source>Customer</source>
        <translation>Kundschaft</translation>
    </message>
    <message>
        <source>Settings</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>File of the work</source>
        <translation>Datei der Arbeit</translation>
    </message>
    <message>
        <source>Takes of the stock</source>
        <translation>Nimmt aus dem Lager</translation>
    </message>
    <message>
        <source>Rests</source>
        <translation>Reste</translation>
    </message>
    <message>
        <source>Paces</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>Motion</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>Began</source>
        <translation>Begonnen</translation>
    </message>
    <message>
        <source>Ended</source>
        <translation>Beendet</translation>
    </message>
    <message>
        <source>Length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>roll</source>
        <translation>Rolle</translation>
    </message>
    <message>
        <source>sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>offcut</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>Count</source>
        <translation>Anzahl</translation>
    </message>
    <message>
        <source>Value</source>
        <translation>Wert</translation>
    </message>
    <message>
        <source>Short below, mm²</source>
        <translation>Knapp unter, mm²</translation>
    </message>
    <message>
        <source>Outline</source>
        <translation>Umriss</translation>
    </message>
    <message>
        <source>Rest of job</source>
        <translation>Rest des Auftrags</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Job</source>
        <translation>Auftrag</translation>
    </message>
    <message>
        <source>By</source>
        <translation>Von</translation>
    </message>
    <message>
        <source>Machine time</source>
        <translation>Maschinenzeit</translation>
    </message>
    <message>
        <source>Hand time</source>
        <translation>Handarbeit</translation>
    </message>
    <message>
        <source>Margin</source>
        <translation>Aufschlag</translation>
    </message>
    <message>
        <source>Total</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>No prices were given.</source>
        <translation>Es sind keine Preise genannt.</translation>
    </message>
    <message>
        <source>The order of laying</source>
        <translation>Reihenfolge des Legens</translation>
    </message>
    <message>
        <source>from sheet {sheets}</source>
        <translation>von Bogen {sheets}</translation>
    </message>
    <message>
        <source>{count} parts: the first to the left or above, marks across the seam meet</source>
        <translation>{count} Teile: das erste links oder oben, Marken quer zur Naht treffen sich</translation>
    </message>
    <message>
        <source>{count} pieces</source>
        <translation>{count} Stücke</translation>
    </message>
    <message>
        <source>press, as the film&apos;s sheet says; hot: mind your skin</source>
        <translation>pressen, wie es das Blatt der Folie sagt; heiß: Haut schützen</translation>
    </message>
    <message>
        <source>then a spacer of {thick:g} mm</source>
        <translation>dann ein Abstandhalter von {thick:g} mm</translation>
    </message>
    <message>
        <source>{low:.0f} to {high:.0f} minutes with weeding and laying</source>
        <translation>{low:.0f} bis {high:.0f} Minuten mit Entgittern und Legen</translation>
    </message>
    <message>
        <source>Sheet {number}: {name}, {carrier}, {wide:.0f} × {high:.0f} mm</source>
        <translation>Bogen {number}: {name}, {carrier}, {wide:.0f} × {high:.0f} mm</translation>
    </message>
    <message>
        <source>the machine refused it: {why}. {count} of {all} bytes were sent; what they say is cut.</source>
        <translation>die Maschine hat es verweigert: {why}. {count} von {all} Bytes sind gesendet; was sie sagen, ist geschnitten.</translation>
    </message>
    <message>
        <source>Stop the machine, and look at what was cut.</source>
        <translation>Die Maschine anhalten und nachsehen, was geschnitten ist.</translation>
    </message>
    <message>
        <source>the machine says nothing any more. {count} of {all} bytes were sent.</source>
        <translation>die Maschine antwortet nicht mehr. {count} von {all} Bytes sind gesendet.</translation>
    </message>
    <message>
        <source>Is it switched on?</source>
        <translation>Ist sie eingeschaltet?</translation>
    </message>
    <message>
        <source>the machine cannot be reached: {why}. {count} of {all} bytes were sent.</source>
        <translation>die Maschine ist nicht zu erreichen: {why}. {count} von {all} Bytes sind gesendet.</translation>
    </message>
    <message>
        <source>Check its address.</source>
        <translation>Ihre Adresse prüfen.</translation>
    </message>
    <message>
        <source>it closed the line</source>
        <translation>sie hat die Leitung geschlossen</translation>
    </message>
    <message>
        <source>an instruction it does not know</source>
        <translation>eine Anweisung, die sie nicht kennt</translation>
    </message>
    <message>
        <source>a wrong number of figures</source>
        <translation>eine falsche Anzahl von Zahlen</translation>
    </message>
    <message>
        <source>a tool that is missing, or a figure out of range</source>
        <translation>ein Werkzeug fehlt, oder eine Zahl liegt außerhalb</translation>
    </message>
    <message>
        <source>a place out of range</source>
        <translation>eine Stelle außerhalb</translation>
    </message>
    <message>
        <source>error {code}</source>
        <translation>Fehler {code}</translation>
    </message>
    <message>
        <source>is no file for a machine: plotter language (.plt) or machine code (.nc) is sent.</source>
        <translation>ist keine Datei für eine Maschine: gesendet wird Plottersprache (.plt) oder Maschinencode (.nc).</translation>
    </message>
    <message>
        <source>a pattern with {place}, so that no two files have one name</source>
        <translation>ein Muster mit {place}, damit keine zwei Dateien einen Namen haben</translation>
    </message>
    <message>
        <source>My cutter</source>
        <translation>Mein Schneider</translation>
    </message>
    <message>
        <source>A file a sheet in plotter language, in the planned order</source>
        <translation>Eine Datei je Bogen in Plottersprache, in der geplanten Reihenfolge</translation>
    </message>
    <message>
        <source>A laser shop</source>
        <translation>Eine Laserwerkstatt</translation>
    </message>
    <message>
        <source>A drawing a sheet with arcs, in millimetres. Say the kerf if they do not</source>
        <translation>Eine Zeichnung je Bogen mit Kreisbögen, in Millimetern. Die Schnittbreite nennen, wenn sie es nicht tut</translation>
    </message>
    <message>
        <source>A printer</source>
        <translation>Eine Druckerei</translation>
    </message>
    <message>
        <source>One PDF in true size, its layers to be switched</source>
        <translation>Ein PDF in wahrer Größe, Ebenen schaltbar</translation>
    </message>
    <message>
        <source>The customer</source>
        <translation>Der Kunde</translation>
    </message>
    <message>
        <source>A page to approve: the finished look, sizes, colours and a place to sign</source>
        <translation>Eine Seite zur Freigabe: das fertige Bild, Größen, Farben und Platz für die Unterschrift</translation>
    </message>
    <message>
        <source>Another designer</source>
        <translation>Ein anderer Gestalter</translation>
    </message>
    <message>
        <source>One layered SVG in millimetres</source>
        <translation>Ein SVG mit Ebenen in Millimetern</translation>
    </message>
    <message>
        <source>Print, then cut</source>
        <translation>Drucken, dann schneiden</translation>
    </message>
    <message>
        <source>Pages of stickers to print, with marks and a bleed, and the cuts in register</source>
        <translation>Seiten mit Aufklebern zum Drucken, mit Marken und Anschnitt, und die Schnitte passend dazu</translation>
    </message>
    <message>
        <source>All of it, to keep</source>
        <translation>Alles, zum Aufheben</translation>
    </message>
    <message>
        <source>A folder with cut files, laying, quote, preview, report and settings</source>
        <translation>Ein Ordner mit Schnittdateien, Legeplan, Angebot, Vorschau, Bericht und Einstellungen</translation>
    </message>
    <message>
        <source>Whoever gets works needs a name.</source>
        <translation>Wer Arbeiten bekommt, braucht einen Namen.</translation>
    </message>
    <message>
        <source>{name} is on the list already.</source>
        <translation>{name} steht schon auf der Liste.</translation>
    </message>
    <message>
        <source>The list is full: {most} are the most.</source>
        <translation>Die Liste ist voll: höchstens {most}.</translation>
    </message>
    <message>
        <source>is no cut file that is read here ({suffixes}).</source>
        <translation>ist keine Schnittdatei, die hier gelesen wird ({suffixes}).</translation>
    </message>
    <message>
        <source>is larger than {mb} MB.</source>
        <translation>ist größer als {mb} MB.</translation>
    </message>
    <message>
        <source>cannot be opened.</source>
        <translation>lässt sich nicht öffnen.</translation>
    </message>
    <message>
        <source>Check its name and that you may read it.</source>
        <translation>Den Namen prüfen, und ob sie gelesen werden darf.</translation>
    </message>
    <message>
        <source>cuts nothing: {why}</source>
        <translation>schneidet nichts: {why}</translation>
    </message>
    <message>
        <source>cuts nothing.</source>
        <translation>schneidet nichts.</translation>
    </message>
    <message>
        <source>cuts lie on each other or nearer than a hair</source>
        <translation>Schnitte liegen aufeinander oder näher als ein Haar</translation>
    </message>
    <message>
        <source>{name}: two cuts lie nearer to each other than {hair:g} mm: what is between them tears, or is cut twice. Join the regions, or open the gap.</source>
        <translation>{name}: Zwei Schnitte liegen näher beieinander als {hair:g} mm: Was dazwischen ist, reißt oder wird doppelt geschnitten. Die Bereiche verbinden oder die Lücke öffnen.</translation>
    </message>
    <message>
        <source>{name}: {count} pairs of cuts lie nearer to each other than {hair:g} mm: what is between them tears, or is cut twice. Join the regions, or open the gaps.</source>
        <translation>{name}: {count} Paare von Schnitten liegen näher beieinander als {hair:g} mm: Was dazwischen ist, reißt oder wird doppelt geschnitten. Die Bereiche verbinden oder die Lücken öffnen.</translation>
    </message>
    <message>
        <source>a layer has more nodes than machines like</source>
        <translation>eine Ebene hat mehr Knoten, als Maschinen mögen</translation>
    </message>
    <message>
        <source>{name} has a node every {apart:.2f} mm: machines slow down or stop at each. Raise the smoothness, or take a larger picture.</source>
        <translation>{name} hat alle {apart:.2f} mm einen Knoten: Maschinen werden an jedem langsamer oder halten. Glatter stellen oder ein größeres Bild nehmen.</translation>
    </message>
    <message>
        <source>corners are tighter than the blade&apos;s offset</source>
        <translation>Ecken sind enger als der Versatz des Messers</translation>
    </message>
    <message>
        <source>{name}: a corner follows another within the blade&apos;s offset of {offset:g} mm; it may lift or tear.</source>
        <translation>{name}: Eine Ecke folgt einer anderen innerhalb des Messerversatzes von {offset:g} mm; sie kann sich heben oder reißen.</translation>
    </message>
    <message>
        <source>{name}: {count} corners follow another within the blade&apos;s offset of {offset:g} mm; they may lift or tear.</source>
        <translation>{name}: {count} Ecken folgen einer anderen innerhalb des Messerversatzes von {offset:g} mm; sie können sich heben oder reißen.</translation>
    </message>
    <message>
        <source>at most {most} lines of text</source>
        <translation>höchstens {most} Zeilen Text</translation>
    </message>
    <message>
        <source>Knife or cutter moved up and down</source>
        <translation>Messer oder Fräser, gehoben und gesenkt</translation>
    </message>
    <message>
        <source>Laser switched on and off</source>
        <translation>Laser, an- und ausgeschaltet</translation>
    </message>
    <message>
        <source>Pen lifted by a spindle word</source>
        <translation>Stift, gehoben durch ein Spindelwort</translation>
    </message>
    <message>
        <source>Without arcs, numbered lines</source>
        <translation>Ohne Kreisbögen, Zeilen mit Nummern</translation>
    </message>
    <message>
        <source>Drawing exchange</source>
        <translation>Zeichnungsaustausch</translation>
    </message>
    <message>
        <source>Machine code</source>
        <translation>Maschinencode</translation>
    </message>
    <message>
        <source>Plotter language</source>
        <translation>Plottersprache</translation>
    </message>
    <message>
        <source>would be {width} × {height} pixels at {dpi} dpi.</source>
        <translation>hätte {width} × {height} Pixel bei {dpi} dpi.</translation>
    </message>
    <message>
        <source>Choose a lower resolution.</source>
        <translation>Eine kleinere Auflösung wählen.</translation>
    </message>
    <message>
        <source>Picture with a transparent ground</source>
        <translation>Bild mit durchsichtigem Grund</translation>
    </message>
    <message>
        <source>Picture as WebP</source>
        <translation>Bild als WebP</translation>
    </message>
    <message>
        <source>PDF in true size</source>
        <translation>PDF in wahrer Größe</translation>
    </message>
    <message>
        <source>{text} is no word</source>
        <translation>{text} ist kein Wort</translation>
    </message>
    <message>
        <source>the tool goes into the stuff in rapid</source>
        <translation>das Werkzeug fährt im Eilgang ins Material</translation>
    </message>
    <message>
        <source>{word} is not known</source>
        <translation>{word} ist nicht bekannt</translation>
    </message>
    <message>
        <source>a place lies beyond any machine</source>
        <translation>eine Stelle liegt jenseits jeder Maschine</translation>
    </message>
    <message>
        <source>it moves in rapid with the tool down</source>
        <translation>es fährt im Eilgang mit gesenktem Werkzeug</translation>
    </message>
    <message>
        <source>it is to cut without a feed</source>
        <translation>es soll ohne Vorschub schneiden</translation>
    </message>
    <message>
        <source>the ends of an arc lie at different distances from its centre</source>
        <translation>die Enden eines Bogens liegen verschieden weit von seiner Mitte</translation>
    </message>
    <message>
        <source>what follows is no plotter language</source>
        <translation>was folgt, ist keine Plottersprache</translation>
    </message>
    <message>
        <source>a place needs two numbers</source>
        <translation>eine Stelle braucht zwei Zahlen</translation>
    </message>
    <message>
        <source>it cuts without a tool</source>
        <translation>es schneidet ohne Werkzeug</translation>
    </message>
    <message>
        <source>the four marks of the page were not found.</source>
        <translation>die vier Marken der Seite wurden nicht gefunden.</translation>
    </message>
    <message>
        <source>Take it with all marks in it, without shadows across them.</source>
        <translation>Nimm es mit allen Marken auf, ohne Schatten darüber.</translation>
    </message>
    <message>
        <source>the four sides of the bed were not found.</source>
        <translation>die vier Seiten des Betts wurden nicht gefunden.</translation>
    </message>
    <message>
        <source>Take it with the whole bed in it, or show its corners by hand.</source>
        <translation>Nimm es mit dem ganzen Bett auf oder zeige seine Ecken von Hand.</translation>
    </message>
    <message>
        <source>Take it straight from above, with all marks, without shadows across them.</source>
        <translation>Gerade von oben aufnehmen, mit allen Marken, ohne Schatten darauf.</translation>
    </message>
    <message>
        <source>not written: pen lines alone make no sticker.</source>
        <translation>nicht geschrieben: Stiftlinien allein sind kein Aufkleber.</translation>
    </message>
    <message>
        <source>not written: the sticker is larger than what a page takes beside its marks. Make it smaller, or choose another paper.</source>
        <translation>nicht geschrieben: Der Aufkleber ist größer, als eine Seite neben ihren Marken fasst. Kleiner machen oder ein anderes Papier wählen.</translation>
    </message>
    <message>
        <source>Something to cut</source>
        <translation>Es gibt etwas zu schneiden</translation>
    </message>
    <message>
        <source>The machine may cut the material</source>
        <translation>Die Maschine darf das Material schneiden</translation>
    </message>
    <message>
        <source>Every sheet bonds to what it lies on</source>
        <translation>Jede Lage haftet auf dem, worauf sie liegt</translation>
    </message>
    <message>
        <source>Mirrored as the material asks</source>
        <translation>Gespiegelt, wie das Material es verlangt</translation>
    </message>
    <message>
        <source>All parts on their sheets</source>
        <translation>Alle Teile auf ihren Bögen</translation>
    </message>
    <message>
        <source>Layers meet as in the work</source>
        <translation>Ebenen treffen sich wie im Werk</translation>
    </message>
    <message>
        <source>Every cut closes</source>
        <translation>Jeder Schnitt schließt sich</translation>
    </message>
    <message>
        <source>No cut twice, none within a hair</source>
        <translation>Kein Schnitt doppelt, keiner um Haaresbreite</translation>
    </message>
    <message>
        <source>No piece too small to weed</source>
        <translation>Kein Stück zu klein zum Entgittern</translation>
    </message>
    <message>
        <source>No neck too narrow</source>
        <translation>Kein Hals zu schmal</translation>
    </message>
    <message>
        <source>No loose islands</source>
        <translation>Keine losen Inseln</translation>
    </message>
    <message>
        <source>One path for each layer</source>
        <translation>Ein Pfad für jede Ebene</translation>
    </message>
    <message>
        <source>No more nodes than machines like</source>
        <translation>Nicht mehr Knoten, als Maschinen mögen</translation>
    </message>
    <message>
        <source>No corner tighter than the blade turns</source>
        <translation>Keine Ecke enger, als die Klinge dreht</translation>
    </message>
    <message>
        <source>No picture and no text left inside</source>
        <translation>Kein Bild und kein Text mehr darin</translation>
    </message>
    <message>
        <source>The picture may be used</source>
        <translation>Das Bild darf verwendet werden</translation>
    </message>
    <message>
        <source>No cut beyond the blank, no blank beyond the bed</source>
        <translation>Kein Schnitt über den Rohling, kein Rohling über das Bett hinaus</translation>
    </message>
    <message>
        <source>Nothing comes loose under a tool</source>
        <translation>Nichts löst sich unter einem Werkzeug</translation>
    </message>
    <message>
        <source>Tools reach all that they carve</source>
        <translation>Die Werkzeuge erreichen alles, was sie schnitzen</translation>
    </message>
    <message>
        <source>Feeds and order suit the machine</source>
        <translation>Vorschub und Reihenfolge passen zur Maschine</translation>
    </message>
    <message>
        <source>The code carves what is shown</source>
        <translation>Der Code schnitzt, was gezeigt wird</translation>
    </message>
    <message>
        <source>cuts do not close</source>
        <translation>Schnitte schließen sich nicht</translation>
    </message>
    <message>
        <source>{file}: a cut does not close: what it goes round stays on the sheet.</source>
        <translation>{file}: Ein Schnitt schließt sich nicht: Was er umgeht, bleibt auf dem Bogen.</translation>
    </message>
    <message>
        <source>{file}: {count} cuts do not close: what they go round stays on the sheet.</source>
        <translation>{file}: {count} Schnitte schließen sich nicht: Was sie umgehen, bleibt auf dem Bogen.</translation>
    </message>
    <message>
        <source>a file cuts a line twice</source>
        <translation>eine Datei schneidet eine Linie doppelt</translation>
    </message>
    <message>
        <source>{file}: {length:.0f} mm are cut twice, or within {hair:g} mm of another cut.</source>
        <translation>{file}: {length:.0f} mm werden doppelt geschnitten oder näher als {hair:g} mm an einem anderen Schnitt.</translation>
    </message>
    <message>
        <source>a layer lies elsewhere in its file than in the work</source>
        <translation>eine Ebene liegt in ihrer Datei anders als im Werk</translation>
    </message>
    <message>
        <source>{file}: {name} lies {off:.2f} mm from where it belongs; the layers would not meet.</source>
        <translation>{file}: {name} liegt {off:.2f} mm von dort, wohin es gehört; die Ebenen träfen sich nicht.</translation>
    </message>
    <message>
        <source>a cut file holds pictures or text</source>
        <translation>eine Schneiddatei enthält Bilder oder Text</translation>
    </message>
    <message>
        <source>{file}: holds pictures or text, which no machine cuts: {inside}.</source>
        <translation>{file}: enthält Bilder oder Text, die keine Maschine schneidet: {inside}.</translation>
    </message>
    <message>
        <source>pieces lie loose within a hole of their own layer</source>
        <translation>Stücke liegen lose in einem Loch ihrer eigenen Ebene</translation>
    </message>
    <message>
        <source>{name}: a piece lies loose within a hole and falls out as it is cut. Bridge it, or lay it by hand.</source>
        <translation>{name}: Ein Stück liegt lose in einem Loch und fällt beim Schneiden heraus. Überbrücke es oder lege es von Hand.</translation>
    </message>
    <message>
        <source>{name}: {count} pieces lie loose within holes and fall out as they are cut. Bridge them, or lay them by hand.</source>
        <translation>{name}: {count} Stücke liegen lose in Löchern und fallen beim Schneiden heraus. Überbrücke sie oder lege sie von Hand.</translation>
    </message>
    <message>
        <source>a layer is several paths where one is wanted</source>
        <translation>eine Ebene hat mehrere Pfade, wo einer gewünscht ist</translation>
    </message>
    <message>
        <source>{name} is {count} pieces, and one is wanted. Join them, bridge them, or drop the smaller ones.</source>
        <translation>{name} hat {count} Stücke, und eines ist gewünscht. Verbinde oder überbrücke sie, oder lass die kleineren weg.</translation>
    </message>
    <message>
        <source>nobody said that the picture may be used</source>
        <translation>niemand hat gesagt, dass das Bild verwendet werden darf</translation>
    </message>
    <message>
        <source>May you use this picture? What others drew needs their leave, for things you give away, too.</source>
        <translation>Darfst du dieses Bild verwenden? Was andere gezeichnet haben, braucht deren Erlaubnis, auch für Verschenktes.</translation>
    </message>
    <message>
        <source>I may use it</source>
        <translation>Ich darf es verwenden</translation>
    </message>
    <message>
        <source>Looking for thin lines</source>
        <translation>Dünne Linien werden gesucht</translation>
    </message>
    <message>
        <source>the picture is unlike what is cut</source>
        <translation>das Bild ist anders als das, was geschnitten wird</translation>
    </message>
    <message>
        <source>{share:.1%} of the picture is no colour that is cut there. The largest such place is darker: {hex}.</source>
        <translation>{share:.1%} des Bildes sind keine Farbe, die dort geschnitten wird. Die größte solche Stelle ist dunkler: {hex}.</translation>
    </message>
    <message>
        <source>{share:.1%} of the picture is no colour that is cut there. The largest such place is lighter: {hex}.</source>
        <translation>{share:.1%} des Bildes sind keine Farbe, die dort geschnitten wird. Die größte solche Stelle ist heller: {hex}.</translation>
    </message>
    <message>
        <source>{share:.1%} of the picture is no colour that is cut there. The largest such place is {hex}.</source>
        <translation>{share:.1%} des Bildes sind keine Farbe, die dort geschnitten wird. Die größte solche Stelle ist {hex}.</translation>
    </message>
    <message>
        <source>Cut that colour too</source>
        <translation>Diese Farbe auch schneiden</translation>
    </message>
    <message>
        <source>not written: what was made cannot be read back ({why}).</source>
        <translation>nicht geschrieben: Das Gemachte lässt sich nicht zurücklesen ({why}).</translation>
    </message>
    <message>
        <source>no painted areas: {why}</source>
        <translation>keine gemalten Flächen: {why}</translation>
    </message>
    <message>
        <source>No outlines of this file can be followed; it is read as a picture.</source>
        <translation>Den Umrissen dieser Datei lässt sich nicht folgen; sie wird als Bild gelesen.</translation>
    </message>
    <message>
        <source>this drawing has no outlines.</source>
        <translation>diese Zeichnung hat keine Umrisse.</translation>
    </message>
    <message>
        <source>this drawing has no size that could be cut.</source>
        <translation>diese Zeichnung hat keine Größe, die sich schneiden ließe.</translation>
    </message>
    <message>
        <source>this DXF is damaged or cut short.</source>
        <translation>dieses DXF ist beschädigt oder abgeschnitten.</translation>
    </message>
    <message>
        <source>Choose</source>
        <translation>Wählen</translation>
    </message>
    <message>
        <source>Click what you want to change; what can be done stands beside it</source>
        <translation>Klick an, was du ändern willst; was sich tun lässt, steht daneben</translation>
    </message>
    <message>
        <source>select pick</source>
        <translation>auswählen markieren</translation>
    </message>
    <message>
        <source>Sweep</source>
        <translation>Streichen</translation>
    </message>
    <message>
        <source>A click or a drag drops, opens or colours regions at once</source>
        <translation>Ein Klick oder Ziehen lässt Flächen sofort weg, öffnet oder färbt sie</translation>
    </message>
    <message>
        <source>drop open colour fill regions</source>
        <translation>weglassen öffnen färben füllen Flächen</translation>
    </message>
    <message>
        <source>Ink</source>
        <translation>Tinte</translation>
    </message>
    <message>
        <source>Paint ink, or take it away; close gaps</source>
        <translation>Tinte malen oder wegnehmen; Lücken schließen</translation>
    </message>
    <message>
        <source>brush bridge gap draw</source>
        <translation>Pinsel Brücke Lücke zeichnen</translation>
    </message>
    <message>
        <source>Line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>A line of even width, by hand or from point to point</source>
        <translation>Eine Linie gleicher Breite, von Hand oder von Punkt zu Punkt</translation>
    </message>
    <message>
        <source>bar stripe draw</source>
        <translation>Balken Streifen zeichnen</translation>
    </message>
    <message>
        <source>Figures, bows, paths and areas, laid on or cut out</source>
        <translation>Figuren, Bogen, Pfade und Flächen, aufgelegt oder ausgeschnitten</translation>
    </message>
    <message>
        <source>circle star rectangle polygon</source>
        <translation>Kreis Stern Rechteck Vieleck</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Wörter</translation>
    </message>
    <message>
        <source>Words in one of the fonts here, as regions</source>
        <translation>Wörter in einer der Schriften hier, als Flächen</translation>
    </message>
    <message>
        <source>text letters font</source>
        <translation>Text Buchstaben Schrift</translation>
    </message>
    <message>
        <source>Cover</source>
        <translation>Abdecken</translation>
    </message>
    <message>
        <source>Draw round what is to go; what is around it goes on there</source>
        <translation>Umfahre, was weg soll; was darum liegt, geht dort weiter</translation>
    </message>
    <message>
        <source>remove erase heal</source>
        <translation>entfernen radieren heilen</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegeln</translation>
    </message>
    <message>
        <source>One half stays, the other becomes its mirror image</source>
        <translation>Eine Hälfte bleibt, die andere wird ihr Spiegelbild</translation>
    </message>
    <message>
        <source>half symmetric reflect</source>
        <translation>Hälfte symmetrisch</translation>
    </message>
    <message>
        <source>Click a layer or a piece; what can be done stands beside it</source>
        <translation>Klicke eine Ebene oder ein Teil an; daneben steht, was sich tun lässt</translation>
    </message>
    <message>
        <source>Pull apart</source>
        <translation>Auffächern</translation>
    </message>
    <message>
        <source>The sheets at a slant above each other</source>
        <translation>Die Bogen schräg übereinander</translation>
    </message>
    <message>
        <source>explode separate view stack</source>
        <translation>auseinander trennen Ansicht Stapel</translation>
    </message>
    <message>
        <source>Section</source>
        <translation>Seitenschnitt</translation>
    </message>
    <message>
        <source>The stack from the side, along a line on the bench</source>
        <translation>Der Stapel von der Seite, entlang einer Linie auf der Werkbank</translation>
    </message>
    <message>
        <source>profile cross height side</source>
        <translation>Profil quer Höhe Seite</translation>
    </message>
    <message>
        <source>cannot be made ({strerror}).</source>
        <translation>kann nicht angelegt werden ({strerror}).</translation>
    </message>
    <message>
        <source>Outline of the blank</source>
        <translation>Umriss des Rohlings</translation>
    </message>
    <message>
        <source>the form of the board</source>
        <translation>die Form des Bretts</translation>
    </message>
    <message>
        <source>Rectangle</source>
        <translation>Rechteck</translation>
    </message>
    <message>
        <source>Oval</source>
        <translation>Oval</translation>
    </message>
    <message>
        <source>Shield</source>
        <translation>Schild</translation>
    </message>
    <message>
        <source>Arch</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Outline of a layer</source>
        <translation>Umriss einer Ebene</translation>
    </message>
    <message>
        <source>Plaque</source>
        <translation>Plakette</translation>
    </message>
    <message>
        <source>Outline of a region</source>
        <translation>Umriss eines Gebiets</translation>
    </message>
    <message>
        <source>Width of the blank</source>
        <translation>Breite des Rohlings</translation>
    </message>
    <message>
        <source>from side to side</source>
        <translation>von Seite zu Seite</translation>
    </message>
    <message>
        <source>Height of the blank</source>
        <translation>Höhe des Rohlings</translation>
    </message>
    <message>
        <source>from top to bottom</source>
        <translation>von oben bis unten</translation>
    </message>
    <message>
        <source>Thickness</source>
        <translation>Dicke</translation>
    </message>
    <message>
        <source>of the board</source>
        <translation>des Bretts</translation>
    </message>
    <message>
        <source>Corners</source>
        <translation>Ecken</translation>
    </message>
    <message>
        <source>radius of the corners or hollows</source>
        <translation>Radius der Ecken oder Höhlungen</translation>
    </message>
    <message>
        <source>width of the raised rim; 0 for none</source>
        <translation>Breite des erhabenen Rands; 0 für keinen</translation>
    </message>
    <message>
        <source>Recess</source>
        <translation>Vertiefung</translation>
    </message>
    <message>
        <source>how deep the field lies below the rim</source>
        <translation>wie tief das Feld unter dem Rand liegt</translation>
    </message>
    <message>
        <source>the layer whose outline it has</source>
        <translation>die Ebene, deren Umriss er hat</translation>
    </message>
    <message>
        <source>where the region lies whose outline it has</source>
        <translation>wo das Gebiet liegt, dessen Umriss er hat</translation>
    </message>
    <message>
        <source>Work to the right</source>
        <translation>Arbeit nach rechts</translation>
    </message>
    <message>
        <source>of the blank&apos;s middle</source>
        <translation>der Mitte des Rohlings</translation>
    </message>
    <message>
        <source>Work downwards</source>
        <translation>Arbeit nach unten</translation>
    </message>
    <message>
        <source>Looks like</source>
        <translation>Sieht aus wie</translation>
    </message>
    <message>
        <source>what it is painted as</source>
        <translation>als was es gemalt wird</translation>
    </message>
    <message>
        <source>Wood</source>
        <translation>Holz</translation>
    </message>
    <message>
        <source>Stone</source>
        <translation>Stein</translation>
    </message>
    <message>
        <source>Paint</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>less than the thickness</source>
        <translation>weniger als die Dicke</translation>
    </message>
    <message>
        <source>less than half of the blank</source>
        <translation>weniger als die Hälfte des Rohlings</translation>
    </message>
    <message>
        <source>The carved blank would have {millions} million places; choose a coarser step.</source>
        <translation>Der geschnitzte Rohling hätte {millions} Millionen Stellen; wähle einen gröberen Schritt.</translation>
    </message>
    <message>
        <source>not written: the machine code “{name}” moves no tool up and down.</source>
        <translation>nicht geschrieben: Der Maschinencode „{name}“ bewegt kein Werkzeug auf und ab.</translation>
    </message>
    <message>
        <source>Choose another machine code under Release.</source>
        <translation>Wähle unter Ausgabe einen anderen Maschinencode.</translation>
    </message>
    <message>
        <source>not written: nothing is carved.</source>
        <translation>nicht geschrieben: Es wird nichts geschnitzt.</translation>
    </message>
    <message>
        <source>Add an operation, or give it what it is to carve.</source>
        <translation>Füge einen Arbeitsgang hinzu, oder gib ihm, was er schnitzen soll.</translation>
    </message>
    <message>
        <source>not written: nothing is left of the blank.</source>
        <translation>nicht geschrieben: Vom Rohling bleibt nichts.</translation>
    </message>
    <message>
        <source>an operation whose target is gone</source>
        <translation>ein Arbeitsgang, dessen Ziel fort ist</translation>
    </message>
    <message>
        <source>Operation {number}: what it is to carve is gone.</source>
        <translation>Arbeitsgang {number}: Was er schnitzen soll, ist fort.</translation>
    </message>
    <message>
        <source>an operation whose tool is not known</source>
        <translation>ein Arbeitsgang, dessen Werkzeug unbekannt ist</translation>
    </message>
    <message>
        <source>Operation {number}: its tool is not in the table.</source>
        <translation>Arbeitsgang {number}: Sein Werkzeug ist nicht in der Tabelle.</translation>
    </message>
    <message>
        <source>an operation that cuts nothing</source>
        <translation>ein Arbeitsgang, der nichts schneidet</translation>
    </message>
    <message>
        <source>Operation {number}: {tool} is too wide for all of it; nothing is cut.</source>
        <translation>Arbeitsgang {number}: {tool} ist für alles zu breit; es wird nichts geschnitten.</translation>
    </message>
    <message>
        <source>places that a tool is too wide for</source>
        <translation>Stellen, für die ein Werkzeug zu breit ist</translation>
    </message>
    <message>
        <source>Operation {number}: {tool} leaves {mm2:.0f} mm² uncut, {share:.1f} % of it. A smaller tool can clear the rests.</source>
        <translation>Arbeitsgang {number}: {tool} lässt {mm2:.0f} mm² stehen, {share:.1f} % davon. Ein kleineres Werkzeug kann die Reste räumen.</translation>
    </message>
    <message>
        <source>a V that is to clear wide ground</source>
        <translation>ein V, das breiten Grund räumen soll</translation>
    </message>
    <message>
        <source>Operation {number}: {mm2:.0f} mm² are wider than the V goes deep. Let a flat tool clear them.</source>
        <translation>Arbeitsgang {number}: {mm2:.0f} mm² sind breiter, als das V tief geht. Lass sie von einem flachen Werkzeug räumen.</translation>
    </message>
    <message>
        <source>a cut deeper than the blank</source>
        <translation>ein Schnitt tiefer als der Rohling</translation>
    </message>
    <message>
        <source>Operation {number} goes {mm:.1f} mm below the upper face; the blank is {thick:.1f} mm thick.</source>
        <translation>Arbeitsgang {number} geht {mm:.1f} mm unter die Oberseite; der Rohling ist {thick:.1f} mm dick.</translation>
    </message>
    <message>
        <source>a tool that is to go deeper than it cuts</source>
        <translation>ein Werkzeug, das tiefer gehen soll, als es schneidet</translation>
    </message>
    <message>
        <source>Operation {number} goes {mm:.1f} mm deep; {tool} cuts {edge:.1f} mm of its length.</source>
        <translation>Arbeitsgang {number} geht {mm:.1f} mm tief; {tool} schneidet auf {edge:.1f} mm seiner Länge.</translation>
    </message>
    <message>
        <source>what comes loose when it is cut out</source>
        <translation>was sich löst, wenn es ausgeschnitten wird</translation>
    </message>
    <message>
        <source>Operation {number}: without tabs what is cut out comes loose under the tool.</source>
        <translation>Arbeitsgang {number}: Ohne Haltestege löst sich unter dem Werkzeug, was ausgeschnitten wird.</translation>
    </message>
    <message>
        <source>a feed beyond the machine</source>
        <translation>ein Vorschub über dem der Maschine</translation>
    </message>
    <message>
        <source>Operation {number}: a feed of {feed:g} mm/s is more than the machine&apos;s {most:g}.</source>
        <translation>Arbeitsgang {number}: Ein Vorschub von {feed:g} mm/s ist mehr als die {most:g} der Maschine.</translation>
    </message>
    <message>
        <source>carving after the blank was cut out</source>
        <translation>Schnitzen, nachdem der Rohling ausgeschnitten wurde</translation>
    </message>
    <message>
        <source>Operation {number} comes after operation {before} has cut the piece off: it may move. Cut out last.</source>
        <translation>Arbeitsgang {number} kommt, nachdem Arbeitsgang {before} das Stück abgetrennt hat: Es kann sich bewegen. Schneide zuletzt aus.</translation>
    </message>
    <message>
        <source>an operation that cuts air</source>
        <translation>ein Arbeitsgang, der Luft schneidet</translation>
    </message>
    <message>
        <source>Operation {number} finds {share:.0f} % of its ground already cut as deep.</source>
        <translation>Arbeitsgang {number} findet {share:.0f} % seines Grunds schon so tief geschnitten.</translation>
    </message>
    <message>
        <source>rests cleared before they are there</source>
        <translation>Reste geräumt, bevor es sie gibt</translation>
    </message>
    <message>
        <source>Operation {number} clears what {tool} left, which comes later or not at all.</source>
        <translation>Arbeitsgang {number} räumt, was {tool} übrig ließ; der kommt aber später oder gar nicht.</translation>
    </message>
    <message>
        <source>a blank larger than the machine&apos;s bed</source>
        <translation>ein Rohling größer als das Bett der Maschine</translation>
    </message>
    <message>
        <source>The blank is {wide:.0f} × {high:.0f} mm; the machine cuts {bed_wide:.0f} × {bed_high:.0f} mm.</source>
        <translation>Der Rohling ist {wide:.0f} × {high:.0f} mm groß; die Maschine schneidet {bed_wide:.0f} × {bed_high:.0f} mm.</translation>
    </message>
    <message>
        <source>machine code that carves something else</source>
        <translation>Maschinencode, der etwas anderes schnitzt</translation>
    </message>
    <message>
        <source>Run from its bytes alone, the code carves {share:.1f} % of the blank otherwise than planned. Do not run it; choose another dialect.</source>
        <translation>Allein aus seinen Bytes schnitzt der Code {share:.1f} % des Rohlings anders als geplant. Nicht laufen lassen; einen anderen Dialekt wählen.</translation>
    </message>
    <message>
        <source>A picture of the carved blank</source>
        <translation>Ein Bild des geschnitzten Rohlings</translation>
    </message>
    <message>
        <source>The carved blank as a solid (STL)</source>
        <translation>Der geschnitzte Rohling als Körper (STL)</translation>
    </message>
    <message>
        <source>The carved blank as a solid (glTF)</source>
        <translation>Der geschnitzte Rohling als Körper (glTF)</translation>
    </message>
    <message>
        <source>not written: a carved blank is written as {suffixes}.</source>
        <translation>nicht geschrieben: Ein geschnitzter Rohling wird als {suffixes} geschrieben.</translation>
    </message>
    <message>
        <source>Tools of the router</source>
        <translation>Werkzeuge der Fräse</translation>
    </message>
    <message>
        <source>Feeds, turns and steps are starting values from memory: the manuals of machine and tool come first. Lengths may be typed in mm or in. Works keep the tools that their operations name.</source>
        <translation>Vorschub, Drehzahl und Versatz sind Anfangswerte aus dem Gedächtnis: Die Anleitungen von Maschine und Werkzeug gehen vor. Längen können in mm oder in eingegeben werden. Werke behalten die Werkzeuge, die ihre Arbeitsgänge nennen.</translation>
    </message>
    <message>
        <source>Add a tool</source>
        <translation>Werkzeug hinzufügen</translation>
    </message>
    <message>
        <source>not written: nothing of this work is carved.</source>
        <translation>nicht geschrieben: Von diesem Werk wird nichts geschnitzt.</translation>
    </message>
    <message>
        <source>The table must be one of {names}; got {got}.</source>
        <translation>Die Tabelle muss eine von {names} sein, nicht {got}.</translation>
    </message>
    <message>
        <source>{word} must be a field and its value, such as {example}; fields: {names}.</source>
        <translation>{word} muss ein Feld mit seinem Wert sein, etwa {example}; Felder: {names}.</translation>
    </message>
    <message>
        <source>{name} must be a number; got {text}.</source>
        <translation>{name} muss eine Zahl sein, nicht {text}.</translation>
    </message>
    <message>
        <source>These are needed as well: {names}.</source>
        <translation>Auch diese werden gebraucht: {names}.</translation>
    </message>
    <message>
        <source>{word} must be the number of an entry.</source>
        <translation>{word} muss die Nummer eines Eintrags sein.</translation>
    </message>
    <message>
        <source>Entry {number} is not there.</source>
        <translation>Eintrag {number} ist nicht da.</translation>
    </message>
    <message>
        <source>The table is larger than {most} MB.</source>
        <translation>Die Tabelle ist größer als {most} MB.</translation>
    </message>
    <message>
        <source>next takes a family ({names}) and a material.</source>
        <translation>next nimmt eine Familie ({names}) und ein Material.</translation>
    </message>
    <message>
        <source>ran takes an entry and one of {names}.</source>
        <translation>ran nimmt einen Eintrag und eines von {names}.</translation>
    </message>
    <message>
        <source>--minutes takes a number of minutes.</source>
        <translation>--minutes nimmt eine Zahl von Minuten.</translation>
    </message>
    <message>
        <source>Say whose rates they are: rates MACHINE --take.</source>
        <translation>Sagen Sie, wessen Zeitsätze es sind: rates MASCHINE --take.</translation>
    </message>
    <message>
        <source>{count} jobs with their real time are too few; {least} are needed.</source>
        <translation>{count} Aufträge mit wirklicher Zeit sind zu wenige; {least} werden gebraucht.</translation>
    </message>
    <message>
        <source>The table is no text in UTF-8.</source>
        <translation>Die Tabelle ist kein Text in UTF-8.</translation>
    </message>
    <message>
        <source>The table has more than {most} lines.</source>
        <translation>Die Tabelle hat mehr als {most} Zeilen.</translation>
    </message>
    <message>
        <source>Line {line}: this is no CSV ({why}).</source>
        <translation>Zeile {line}: Das ist kein CSV ({why}).</translation>
    </message>
    <message>
        <source>Line {line}: {why}</source>
        <translation>Zeile {line}: {why}</translation>
    </message>
    <message>
        <source>The first line must name these columns: {names}.</source>
        <translation>Die erste Zeile muss diese Spalten nennen: {names}.</translation>
    </message>
    <message>
        <source>a number, with a point</source>
        <translation>eine Zahl, mit Punkt</translation>
    </message>
    <message>
        <source>This is no logbook: an object with lists {names} is needed.</source>
        <translation>Das ist kein Logbuch: Ein Objekt mit den Listen {names} wird gebraucht.</translation>
    </message>
    <message>
        <source>cannot be opened: {why}.</source>
        <translation>lässt sich nicht öffnen: {why}.</translation>
    </message>
    <message>
        <source>is not a logbook: it does not begin as a database.</source>
        <translation>ist kein Logbuch: Es beginnt nicht wie eine Datenbank.</translation>
    </message>
    <message>
        <source>The logbook is in a place that cannot be written to; it is only read.</source>
        <translation>Das Logbuch liegt an einem Ort, an den nicht geschrieben werden kann; es wird nur gelesen.</translation>
    </message>
    <message>
        <source>is a database, but no logbook.</source>
        <translation>ist eine Datenbank, aber kein Logbuch.</translation>
    </message>
    <message>
        <source>was made by a newer version of the program.</source>
        <translation>wurde von einer neueren Fassung des Programms angelegt.</translation>
    </message>
    <message>
        <source>Nothing was changed in it. Open it with that version.</source>
        <translation>Nichts darin wurde geändert. Mit jener Fassung öffnen.</translation>
    </message>
    <message>
        <source>The logbook is damaged. It is only read; a copy is kept as {name}. What can be read can be saved into a new one.</source>
        <translation>Das Logbuch ist beschädigt. Es wird nur gelesen; eine Kopie liegt als {name} daneben. Was lesbar ist, kann in ein neues gerettet werden.</translation>
    </message>
    <message>
        <source>The logbook was brought to this version; as it was it is kept as {name}.</source>
        <translation>Das Logbuch wurde auf diese Fassung gebracht; wie es war, liegt es als {name} daneben.</translation>
    </message>
    <message>
        <source>is only read.</source>
        <translation>wird nur gelesen.</translation>
    </message>
    <message>
        <source>entry {number} is gone.</source>
        <translation>Eintrag {number} ist fort.</translation>
    </message>
    <message>
        <source>is there already.</source>
        <translation>ist schon da.</translation>
    </message>
    <message>
        <source>Choose another name.</source>
        <translation>Einen anderen Namen wählen.</translation>
    </message>
    <message>
        <source>there is no space left; nothing was changed.</source>
        <translation>es ist kein Platz mehr; nichts wurde geändert.</translation>
    </message>
    <message>
        <source>another program holds it; nothing was changed. Try again.</source>
        <translation>ein anderes Programm hält es; nichts wurde geändert. Noch einmal versuchen.</translation>
    </message>
    <message>
        <source>cannot be written to; nothing was changed.</source>
        <translation>kann nicht beschrieben werden; nichts wurde geändert.</translation>
    </message>
    <message>
        <source>cannot be opened; the folder may be missing or closed to you.</source>
        <translation>lässt sich nicht öffnen; der Ordner fehlt vielleicht oder ist gesperrt.</translation>
    </message>
    <message>
        <source>is damaged; what can be read can be saved into a new one.</source>
        <translation>ist beschädigt; was lesbar ist, kann in ein neues gerettet werden.</translation>
    </message>
    <message>
        <source>cannot be used ({why}).</source>
        <translation>kann nicht benutzt werden ({why}).</translation>
    </message>
    <message>
        <source>least, most and step above 0, in this order</source>
        <translation>kleinster, größter Wert und Schritt über 0, in dieser Folge</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Acceleration</source>
        <translation>Beschleunigung</translation>
    </message>
    <message>
        <source>Corner tolerance</source>
        <translation>Eckentoleranz</translation>
    </message>
    <message>
        <source>Travelling</source>
        <translation>Leerfahrt</translation>
    </message>
    <message>
        <source>Lifting</source>
        <translation>Heben</translation>
    </message>
    <message>
        <source>Laying</source>
        <translation>Legen</translation>
    </message>
    <message>
        <source>Find the leak</source>
        <translation>Finde das Leck</translation>
    </message>
    <message>
        <source>Choose the cut-off</source>
        <translation>Wähle die Schwelle</translation>
    </message>
    <message>
        <source>Choose the order</source>
        <translation>Wähle die Reihenfolge</translation>
    </message>
    <message>
        <source>Where to divide</source>
        <translation>Wo teilen</translation>
    </message>
    <message>
        <source>Which setting tears</source>
        <translation>Welche Einstellung reißt</translation>
    </message>
    <message>
        <source>One outline of this drawing is open, so that two areas run into each other. Where?</source>
        <translation>Ein Umriss dieser Zeichnung ist offen, sodass zwei Flächen ineinander laufen. Wo?</translation>
    </message>
    <message>
        <source>The paper is {gap:.1f} mm wide there, between ends of a line of {line:.1f} mm; to both sides it opens to areas more than twice as wide. A bridge over it parts them.</source>
        <translation>Das Papier ist dort {gap:.1f} mm breit, zwischen Enden einer Linie von {line:.1f} mm; zu beiden Seiten öffnet es sich zu mehr als doppelt so breiten Flächen. Eine Brücke darüber trennt sie.</translation>
    </message>
    <message>
        <source>No exercise could be made of this picture; take another one.</source>
        <translation>Aus diesem Bild ließ sich keine Übung machen; nehmen Sie eine andere.</translation>
    </message>
    <message>
        <source>What is darker than the cut-off becomes ink. Which cut-off keeps the drawing?</source>
        <translation>Was dunkler ist als die Schwelle, wird Tusche. Welche Schwelle erhält die Zeichnung?</translation>
    </message>
    <message>
        <source>From {first} to {last} next to nothing comes or goes; at {best} there are {pieces} pieces with {holes} holes, {ink:.0f} % of the picture. At {low} it is {low_pieces} and {low_holes}, {low_ink:.0f} %, as lines break or go; at {high} {high_pieces} and {high_holes}, {high_ink:.0f} %, as paper turns to ink.</source>
        <translation>Von {first} bis {last} kommt und geht fast nichts; bei {best} sind es {pieces} Stücke mit {holes} Löchern, {ink:.0f} % des Bildes. Bei {low} sind es {low_pieces} und {low_holes}, {low_ink:.0f} %, da Linien brechen oder verschwinden; bei {high} {high_pieces} und {high_holes}, {high_ink:.0f} %, da Papier zu Tusche wird.</translation>
    </message>
    <message>
        <source>The sheets are laid from the left to the right, the base first. Which order is cut least?</source>
        <translation>Die Bögen werden von links nach rechts gelegt, die Grundlage zuerst. Bei welcher Reihenfolge wird am wenigsten geschnitten?</translation>
    </message>
    <message>
        <source>Its outlines take {cut:.0f} mm and {pieces} pieces; the others {one:.0f} and {two:.0f} mm. A sheet is cut wherever it ends in sight: what lies low under others needs no windows and few edges.</source>
        <translation>Ihre Umrisse sind {cut:.0f} mm lang, in {pieces} Stücken; die der anderen {one:.0f} und {two:.0f} mm. Ein Bogen wird geschnitten, wo er sichtbar endet: was tief unter anderen liegt, braucht keine Fenster und wenig Kanten.</translation>
    </message>
    <message>
        <source>The lowest sheet is wider than the carrier. Which seam is seen least once all is laid?</source>
        <translation>Der unterste Bogen ist breiter als der Träger. Welche Naht sieht man am wenigsten, wenn alles gelegt ist?</translation>
    </message>
    <message>
        <source>Of it {best:.0f} mm lie in sight, as upper sheets cover the rest; of the others {one:.0f} and {two:.0f} mm. With margins and room for joints, the program&apos;s own division (seams: {count}, not straight) shows {own:.0f} mm in all, the best straight one {straight:.0f}.</source>
        <translation>Von ihr liegen {best:.0f} mm offen, da obere Bögen den Rest decken; von den anderen {one:.0f} und {two:.0f} mm. Mit Rändern und Platz für Verbindungen zeigt die Teilung des Programms (Nähte: {count}, nicht gerade) insgesamt {own:.0f} mm, die beste gerade {straight:.0f}.</translation>
    </message>
    <message>
        <source>A {family} that nobody tried yet. With which setting do corners more likely tear?</source>
        <translation>Material: {family}, noch nie versucht. Bei welcher Einstellung reißen Ecken eher?</translation>
    </message>
    <message>
        <source>{force:g} at {speed:g} mm/s tears in {high:.0f} of 100, the other in {low:.0f}, by what is known of the family: it bears about {limit:.0f} mm/s, and it is the speed that pulls at corners. More force cuts too deep before it tears. These values are from memory: the machine&apos;s manual and a test cut come first.</source>
        <translation>{force:g} bei {speed:g} mm/s reißt in {high:.0f} von 100 Fällen, das andere in {low:.0f}, nach dem, was von der Familie bekannt ist: sie verträgt etwa {limit:.0f} mm/s, und es ist die Geschwindigkeit, die an Ecken zieht. Mehr Kraft schneidet zu tief, ehe sie reißt. Diese Werte sind aus dem Gedächtnis: Handbuch der Maschine und Probeschnitt gehen vor.</translation>
    </message>
    <message>
        <source>Force {force:g}, speed {speed:g} mm/s</source>
        <translation>Kraft {force:g}, Geschwindigkeit {speed:g} mm/s</translation>
    </message>
    <message>
        <source>What the logbook keeps of this machine is damaged.</source>
        <translation>Was das Logbuch von dieser Maschine hat, ist beschädigt.</translation>
    </message>
    <message>
        <source>The work of this job was not kept, or was deleted. Open its picture, and write it again.</source>
        <translation>Die Arbeit dieses Auftrags wurde nicht aufgehoben oder gelöscht. Öffnen Sie ihr Bild und schreiben Sie sie neu.</translation>
    </message>
    <message>
        <source>is none of the kinds that are kept ({kinds}).</source>
        <translation>ist keine der Arten, die aufgehoben werden ({kinds}).</translation>
    </message>
    <message>
        <source>Rest</source>
        <translation>Rest</translation>
    </message>
</context>
<context>
    <name>About</name>
    <message>
        <source>About Sketch Loom</source>
        <translation>Über Sketch Loom</translation>
    </message>
    <message>
        <source>Pictures in, clean layered cut files out.</source>
        <translation>Aus Bildern werden saubere Schneidedateien in Ebenen.</translation>
    </message>
    <message>
        <source>Licence</source>
        <translation>Lizenz</translation>
    </message>
    <message>
        <source>Libraries</source>
        <translation>Bibliotheken</translation>
    </message>
    <message>
        <source>Font and icons</source>
        <translation>Schrift und Zeichen</translation>
    </message>
</context>
<context>
    <name>Acting</name>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Kept as “{0}”; it stands among the variants (V).</source>
        <translation>Behalten als „{0}“; es steht bei den Varianten (V).</translation>
    </message>
</context>
<context>
    <name>ActsGrid</name>
    <message>
        <source>Give it {0}</source>
        <translation>Gib ihr {0}</translation>
    </message>
    <message>
        <source>Another colour</source>
        <translation>Eine andere Farbe</translation>
    </message>
</context>
<context>
    <name>AreaTool</name>
    <message>
        <source>Drag round the part, or click its corners and close it with Enter. Esc leaves it.</source>
        <translation>Ziehe um den Teil herum, oder klicke seine Ecken und schließe mit Enter. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>BackgroundBox</name>
    <message>
        <source>Colour…</source>
        <translation>Farbe …</translation>
    </message>
    <message>
        <source>Click a colour of the background; what is alike and hangs together goes</source>
        <translation>Klicke eine Farbe des Hintergrunds an; was ihr gleicht und zusammenhängt, geht</translation>
    </message>
    <message>
        <source>Keep…</source>
        <translation>Behalten …</translation>
    </message>
    <message>
        <source>Drop…</source>
        <translation>Weglassen …</translation>
    </message>
    <message>
        <source>Paint roughly over what is to be kept; the rest is found. Later strokes mend only where they run; a click on a thin part follows it</source>
        <translation>Grob über das malen, was bleiben soll; der Rest wird gefunden. Spätere Striche bessern nur, wo sie laufen; ein Klick auf einen dünnen Teil folgt ihm</translation>
    </message>
    <message>
        <source>Paint once around what is to be kept, or over what is to go; the rest is found. Later strokes mend only where they run</source>
        <translation>Einmal um das herum malen, was bleiben soll, oder über das, was weg soll; der Rest wird gefunden. Spätere Striche bessern nur, wo sie laufen</translation>
    </message>
    <message>
        <source>Follow edge…</source>
        <translation>Kante folgen …</translation>
    </message>
    <message>
        <source>Click along the edge of what is to be kept; the line finds the edge</source>
        <translation>Klicke die Kante dessen entlang, was bleiben soll; die Linie findet die Kante</translation>
    </message>
    <message>
        <source>Only this…</source>
        <translation>Nur dies …</translation>
    </message>
    <message>
        <source>Draw round what is to be kept; everything else goes</source>
        <translation>Zeichne um das herum, was bleiben soll; alles andere geht</translation>
    </message>
    <message>
        <source>Not this…</source>
        <translation>Dies nicht …</translation>
    </message>
    <message>
        <source>Draw round what is to go</source>
        <translation>Zeichne um das herum, was weg soll</translation>
    </message>
    <message>
        <source>Paper and watermark</source>
        <translation>Papier und Wasserzeichen</translation>
    </message>
    <message>
        <source>Everything as light as the paper around it goes, in one step</source>
        <translation>Alles, was so hell ist wie das Papier darum, geht in einem Schritt</translation>
    </message>
    <message>
        <source>paper left out</source>
        <translation>Papier weggelassen</translation>
    </message>
    <message>
        <source>Use the transparency that came with the file</source>
        <translation>Die Durchsichtigkeit der Datei verwenden</translation>
    </message>
    <message>
        <source>transparency of the file</source>
        <translation>Durchsichtigkeit der Datei</translation>
    </message>
    <message>
        <source>Steps</source>
        <translation>Schritte</translation>
    </message>
    <message>
        <source>Reach of the colour</source>
        <translation>Reichweite der Farbe</translation>
    </message>
    <message>
        <source>Everywhere, not only where it hangs together</source>
        <translation>Überall, nicht nur wo sie zusammenhängt</translation>
    </message>
    <message>
        <source>Take the step back</source>
        <translation>Den Schritt zurücknehmen</translation>
    </message>
    <message>
        <source>Keep all again</source>
        <translation>Alles wieder behalten</translation>
    </message>
    <message>
        <source>Take every step back</source>
        <translation>Jeden Schritt zurücknehmen</translation>
    </message>
    <message>
        <source>background</source>
        <translation>Hintergrund</translation>
    </message>
    <message>
        <source>Edge</source>
        <translation>Kante</translation>
    </message>
    <message>
        <source>edge of the background</source>
        <translation>Kante des Hintergrunds</translation>
    </message>
    <message>
        <source>Calm the edge</source>
        <translation>Kante beruhigen</translation>
    </message>
    <message>
        <source>Colour left out</source>
        <translation>Farbe weggelassen</translation>
    </message>
    <message>
        <source>Colour kept</source>
        <translation>Farbe behalten</translation>
    </message>
    <message>
        <source>Drop stroke</source>
        <translation>Strich: weg</translation>
    </message>
    <message>
        <source>Keep stroke</source>
        <translation>Strich: bleibt</translation>
    </message>
    <message>
        <source>Not this part</source>
        <translation>Dieser Teil nicht</translation>
    </message>
    <message>
        <source>Only this part</source>
        <translation>Nur dieser Teil</translation>
    </message>
    <message>
        <source>Not within this edge</source>
        <translation>Nicht innerhalb dieser Kante</translation>
    </message>
    <message>
        <source>Only within this edge</source>
        <translation>Nur innerhalb dieser Kante</translation>
    </message>
    <message>
        <source>Paper left out</source>
        <translation>Papier weggelassen</translation>
    </message>
    <message>
        <source>Paper kept</source>
        <translation>Papier behalten</translation>
    </message>
    <message>
        <source>as found</source>
        <translation>wie gefunden</translation>
    </message>
    <message>
        <source>{0} out</source>
        <translation>{0} nach außen</translation>
    </message>
    <message>
        <source>{0} in</source>
        <translation>{0} nach innen</translation>
    </message>
    <message>
        <source>no</source>
        <translation>nein</translation>
    </message>
    <message>
        <source>Nothing is left out so far.</source>
        <translation>Bisher ist nichts weggelassen.</translation>
    </message>
    <message>
        <source>{0} of the picture is left out: the hatched part.</source>
        <translation>{0} des Bildes sind weggelassen: der schraffierte Teil.</translation>
    </message>
    <message>
        <source>colour left out</source>
        <translation>Farbe weggelassen</translation>
    </message>
    <message>
        <source>keep stroke</source>
        <translation>Strich: bleibt</translation>
    </message>
    <message>
        <source>drop stroke</source>
        <translation>Strich: weg</translation>
    </message>
    <message>
        <source>part kept</source>
        <translation>Teil behalten</translation>
    </message>
    <message>
        <source>part left out</source>
        <translation>Teil weggelassen</translation>
    </message>
</context>
<context>
    <name>BatchForm</name>
    <message>
        <source>One more</source>
        <translation>Noch eines</translation>
    </message>
    <message>
        <source>Keep this material</source>
        <translation>Material aufheben</translation>
    </message>
    <message>
        <source>Plans take this price</source>
        <translation>Pläne nehmen diesen Preis</translation>
    </message>
    <message>
        <source>The price table has it from now on, in place of the one it had for this material</source>
        <translation>Die Preistabelle hat ihn von jetzt an, statt des bisherigen für dieses Material</translation>
    </message>
</context>
<context>
    <name>BedPicture</name>
    <message>
        <source>Picture of the bed with its corners</source>
        <translation>Bild des Betts mit seinen Ecken</translation>
    </message>
    <message>
        <source>Drag the corners of the bed. By keys: Space takes the next corner, arrows move it, Enter looks again</source>
        <translation>Zieh die Ecken des Betts. Mit Tasten: Leertaste nimmt die nächste Ecke, Pfeile bewegen sie, Eingabe sucht noch einmal</translation>
    </message>
</context>
<context>
    <name>BenchBar</name>
    <message>
        <source>100 % is true size</source>
        <translation>100 % ist wahre Größe</translation>
    </message>
</context>
<context>
    <name>Beside</name>
    <message>
        <source>variant</source>
        <translation>Variante</translation>
    </message>
    <message>
        <source>Alternative {0}</source>
        <translation>Alternative {0}</translation>
    </message>
    <message>
        <source>kept alternative</source>
        <translation>Alternative behalten</translation>
    </message>
    <message>
        <source>alternative let go</source>
        <translation>Alternative aufgegeben</translation>
    </message>
</context>
<context>
    <name>BlankBox</name>
    <message>
        <source>Layer whose outline the blank has</source>
        <translation>Ebene, deren Umriss der Rohling hat</translation>
    </message>
    <message>
        <source>Layer</source>
        <translation>Ebene</translation>
    </message>
    <message>
        <source>Point at the region</source>
        <translation>Auf das Gebiet zeigen</translation>
    </message>
    <message>
        <source>Click the region whose outline the blank is to have</source>
        <translation>Das Gebiet anklicken, dessen Umriss der Rohling haben soll</translation>
    </message>
    <message>
        <source>Once something is carved, the region can be pointed at.</source>
        <translation>Sobald etwas geschnitzt wird, kann auf das Gebiet gezeigt werden.</translation>
    </message>
    <message>
        <source>Groove in the middle of the rim</source>
        <translation>Nut in der Mitte des Rands</translation>
    </message>
    <message>
        <source>A line at half the rim as it is, run by a ball cutter</source>
        <translation>Eine Linie auf halbem Rand, wie er ist, mit einem Kugelfräser</translation>
    </message>
    <message>
        <source>groove in the rim</source>
        <translation>Nut im Rand</translation>
    </message>
    <message>
        <source>blank</source>
        <translation>Rohling</translation>
    </message>
</context>
<context>
    <name>Board</name>
    <message>
        <source>The picture of the exercise</source>
        <translation>Das Bild der Übung</translation>
    </message>
</context>
<context>
    <name>Boundaries</name>
    <message>
        <source>Looking for what is nearly regular</source>
        <translation>Suche nach beinahe Regelmäßigem</translation>
    </message>
    <message>
        <source>Both neighbours of a boundary follow it.</source>
        <translation>Beide Nachbarn eines Randes folgen ihm.</translation>
    </message>
    <message>
        <source>Waiting for the result</source>
        <translation>Warten auf das Ergebnis</translation>
    </message>
    <message>
        <source>No boundary runs along there. Brush nearer to it.</source>
        <translation>Dort läuft kein Rand. Fahre näher daran entlang.</translation>
    </message>
    <message>
        <source>A whole ring, {0} round, at most {1} from the picture.</source>
        <translation>Ein ganzer Ring, {0} rundum, höchstens {1} vom Bild entfernt.</translation>
    </message>
    <message>
        <source>A stretch of {0}, at most {1} from the picture. Drag it to pull it.</source>
        <translation>Ein Stück von {0}, höchstens {1} vom Bild entfernt. Ziehe daran, um es zu ziehen.</translation>
    </message>
    <message>
        <source>line around an area · {0} round · {1} nodes</source>
        <translation>Linie um eine Fläche · {0} rundum · {1} Knoten</translation>
    </message>
    <message>
        <source>stretch of a boundary · {0} · {1} nodes</source>
        <translation>Strecke einer Grenze · {0} · {1} Knoten</translation>
    </message>
    <message>
        <source>That cannot be done here: {0}.</source>
        <translation>Das geht hier nicht: {0}.</translation>
    </message>
    <message>
        <source>nodes of a boundary</source>
        <translation>Knoten einer Grenze</translation>
    </message>
    <message>
        <source>Changed; now at most {0} from where it was and {1} from the picture.</source>
        <translation>Geändert; jetzt höchstens {0} von vorher und {1} vom Bild entfernt.</translation>
    </message>
    <message>
        <source>changed boundary</source>
        <translation>Rand geändert</translation>
    </message>
    <message>
        <source>made regular</source>
        <translation>regelmäßig gemacht</translation>
    </message>
</context>
<context>
    <name>BoxTool</name>
    <message>
        <source>Drag a box round the regions. Esc leaves it.</source>
        <translation>Ziehe ein Rechteck um die Flächen. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>BridgeTool</name>
    <message>
        <source>Click a gap to close it. Esc ends.</source>
        <translation>Klicke eine Lücke an, um sie zu schließen. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>Bridging</name>
    <message>
        <source>Following strokes</source>
        <translation>Striche werden verfolgt</translation>
    </message>
    <message>
        <source>bridge</source>
        <translation>Steg</translation>
    </message>
    <message>
        <source>Looking for loose pieces</source>
        <translation>Suche nach losen Teilen</translation>
    </message>
    <message>
        <source>stencil bridges</source>
        <translation>Schablonenstege</translation>
    </message>
    <message>
        <source>moved bridge</source>
        <translation>Steg verschoben</translation>
    </message>
</context>
<context>
    <name>BrushTool</name>
    <message>
        <source>Paint over what is to be kept. [ and ] change the brush, Esc ends.</source>
        <translation>Male über das, was bleiben soll. [ und ] ändern den Pinsel, Esc beendet.</translation>
    </message>
    <message>
        <source>Paint over what is to go. [ and ] change the brush, Esc ends.</source>
        <translation>Male über das, was weg soll. [ und ] ändern den Pinsel, Esc beendet.</translation>
    </message>
</context>
<context>
    <name>BusySign</name>
    <message>
        <source>Cancelling …</source>
        <translation>Wird abgebrochen …</translation>
    </message>
    <message>
        <source>{0} · {1} %</source>
        <translation>{0} · {1} %</translation>
    </message>
    <message>
        <source>{0} · {1} % · about {2} s</source>
        <translation>{0} · {1} % · etwa {2} s</translation>
    </message>
</context>
<context>
    <name>CameraBox</name>
    <message>
        <source>Bed or carrier</source>
        <translation>Bett oder Träger</translation>
    </message>
    <message>
        <source>What the page lies on; all of it must be in the picture</source>
        <translation>Worauf die Seite liegt; es muss ganz im Bild sein</translation>
    </message>
    <message>
        <source>The cuts lie as on the printed page. A picture of the bed puts them where the page lies.</source>
        <translation>Die Schnitte liegen wie auf der gedruckten Seite. Ein Bild des Betts legt sie dorthin, wo die Seite liegt.</translation>
    </message>
    <message>
        <source>Picture of the bed…</source>
        <translation>Bild des Betts …</translation>
    </message>
    <message>
        <source>Taken by hand, with the printed page on the bed: the cuts go where the page lies</source>
        <translation>Von Hand aufgenommen, mit der gedruckten Seite auf dem Bett: Die Schnitte kommen dorthin, wo die Seite liegt</translation>
    </message>
    <message>
        <source>Simulated camera</source>
        <translation>Simulierte Kamera</translation>
    </message>
    <message>
        <source>No device is used: a page laid askew on the bed, as a camera would see it</source>
        <translation>Ohne Gerät: eine schief aufs Bett gelegte Seite, wie eine Kamera sie sähe</translation>
    </message>
    <message>
        <source>As printed</source>
        <translation>Wie gedruckt</translation>
    </message>
    <message>
        <source>The cuts lie as on the page; the picture is let go</source>
        <translation>Die Schnitte liegen wie auf der Seite; das Bild wird losgelassen</translation>
    </message>
    <message>
        <source>Where the page lies on the bed</source>
        <translation>Wo die Seite auf dem Bett liegt</translation>
    </message>
    <message>
        <source>Drag the blue corners onto those of the bed.</source>
        <translation>Zieh die blauen Ecken auf die des Betts.</translation>
    </message>
    <message>
        <source>Found: turned {0:.1f}°, printed at {1:.1f} %, its marks within {2:.2f} mm. The cuts go there.</source>
        <translation>Gefunden: {0:.1f}° gedreht, zu {1:.1f} % gedruckt, Marken auf {2:.2f} mm genau. Die Schnitte kommen dorthin.</translation>
    </message>
    <message>
        <source>Picture of the bed with the printed page</source>
        <translation>Bild des Betts mit der gedruckten Seite</translation>
    </message>
    <message>
        <source>Pictures ({0})</source>
        <translation>Bilder ({0})</translation>
    </message>
</context>
<context>
    <name>Card</name>
    <message>
        <source>The present settings</source>
        <translation>Die jetzigen Einstellungen</translation>
    </message>
    <message>
        <source>Take these settings</source>
        <translation>Diese Einstellungen nehmen</translation>
    </message>
    <message>
        <source>…</source>
        <translation>…</translation>
    </message>
    <message>
        <source>End</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>Skip</source>
        <translation>Überspringen</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fertig</translation>
    </message>
</context>
<context>
    <name>CarveView</name>
    <message>
        <source>The carved blank</source>
        <translation>Der geschnitzte Rohling</translation>
    </message>
    <message>
        <source>Section from A to B, {0} long, {1} times as high; Shift and a drag put it elsewhere</source>
        <translation>Schnitt von A nach B, {0} lang, {1}-fach überhöht; mit Umschalt und Ziehen liegt er anderswo</translation>
    </message>
</context>
<context>
    <name>Carving</name>
    <message>
        <source>The blank is carved once the exact result is there.</source>
        <translation>Der Rohling wird geschnitzt, sobald das genaue Ergebnis da ist.</translation>
    </message>
    <message>
        <source>Carving …</source>
        <translation>Wird geschnitzt …</translation>
    </message>
    <message>
        <source>Carving</source>
        <translation>Schnitzen</translation>
    </message>
</context>
<context>
    <name>CarvingBox</name>
    <message>
        <source>Propose what is carved</source>
        <translation>Vorschlagen, was geschnitzt wird</translation>
    </message>
    <message>
        <source>A blank that the work fits on, each layer carved, and all cut out on tabs</source>
        <translation>Ein Rohling, auf den die Arbeit passt, jede Ebene geschnitzt, und alles an Haltestegen ausgeschnitten</translation>
    </message>
    <message>
        <source>Feeds, turns and steps are starting values from memory; the manuals of machine and tool come first.</source>
        <translation>Vorschübe, Drehzahlen und Schritte sind Anfangswerte aus dem Gedächtnis; die Anleitungen von Maschine und Werkzeug gehen vor.</translation>
    </message>
    <message>
        <source>Operations, in the order in which they are carved</source>
        <translation>Arbeitsgänge, in der Reihenfolge, in der geschnitzt wird</translation>
    </message>
    <message>
        <source>Add an operation</source>
        <translation>Arbeitsgang hinzufügen</translation>
    </message>
    <message>
        <source>Take it out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The chosen operation</source>
        <translation>Der gewählte Arbeitsgang</translation>
    </message>
    <message>
        <source>Tools…</source>
        <translation>Werkzeuge…</translation>
    </message>
    <message>
        <source>Diameters, angles, feeds of your tools</source>
        <translation>Durchmesser, Winkel, Vorschub Ihrer Werkzeuge</translation>
    </message>
    <message>
        <source>Time of the machine</source>
        <translation>Zeit der Maschine</translation>
    </message>
    <message>
        <source>Rim, measured</source>
        <translation>Rand, gemessen</translation>
    </message>
    <message>
        <source>Removed</source>
        <translation>Abgetragen</translation>
    </message>
    <message>
        <source>{0} cm³</source>
        <translation>{0} cm³</translation>
    </message>
    <message>
        <source>carving proposed</source>
        <translation>Schnitzen vorgeschlagen</translation>
    </message>
    <message>
        <source>operation</source>
        <translation>Arbeitsgang</translation>
    </message>
    <message>
        <source>tools renewed</source>
        <translation>Werkzeuge erneuert</translation>
    </message>
    <message>
        <source>operation added</source>
        <translation>Arbeitsgang hinzugefügt</translation>
    </message>
    <message>
        <source>operation taken out</source>
        <translation>Arbeitsgang herausgenommen</translation>
    </message>
    <message>
        <source>order of operations</source>
        <translation>Reihenfolge der Arbeitsgänge</translation>
    </message>
</context>
<context>
    <name>CautionsBox</name>
    <message>
        <source>Blade: keep fingers and hair away from the moving head and store blades covered.</source>
        <translation>Klinge: halte Finger und Haare vom bewegten Kopf fern und bewahre Klingen bedeckt auf.</translation>
    </message>
    <message>
        <source>Laser: never cut chlorinated film such as PVC; its fumes are poisonous. Use extraction, and never leave a running laser alone: fire.</source>
        <translation>Laser: schneide nie chlorhaltige Folie wie PVC; ihre Dämpfe sind giftig. Nutze eine Absaugung und lass einen laufenden Laser nie allein: Feuer.</translation>
    </message>
    <message>
        <source>Router and hot press: guard eyes, ears and lungs from chips, noise and dust, and skin from heat.</source>
        <translation>Fräse und Heißpresse: schütze Augen, Ohren und Lunge vor Spänen, Lärm und Staub und die Haut vor Hitze.</translation>
    </message>
    <message>
        <source>Your machine&apos;s manual, local rules and trained people come first.</source>
        <translation>Das Handbuch deiner Maschine, örtliche Regeln und geschulte Leute gehen vor.</translation>
    </message>
</context>
<context>
    <name>Changing</name>
    <message>
        <source>turned over shape</source>
        <translation>Form umgedreht</translation>
    </message>
    <message>
        <source>another figure</source>
        <translation>andere Figur</translation>
    </message>
    <message>
        <source>Draw the line from the shape on; it is repeated along it. Enter ends it. Esc puts it down.</source>
        <translation>Zeichnen Sie die Linie von der Form aus; sie wird entlang wiederholt. Eingabe beendet sie. Esc legt es weg.</translation>
    </message>
    <message>
        <source>repeated shape</source>
        <translation>Form wiederholt</translation>
    </message>
    <message>
        <source>order of shapes</source>
        <translation>Reihenfolge der Formen</translation>
    </message>
    <message>
        <source>copied shape</source>
        <translation>kopierte Form</translation>
    </message>
    <message>
        <source>Nothing would be left of it.</source>
        <translation>Davon bliebe nichts übrig.</translation>
    </message>
    <message>
        <source>thicker shape</source>
        <translation>dickere Form</translation>
    </message>
    <message>
        <source>thinner shape</source>
        <translation>dünnere Form</translation>
    </message>
    <message>
        <source>scaled and turned shapes</source>
        <translation>vergrößerte und gedrehte Formen</translation>
    </message>
    <message>
        <source>Waiting for the result</source>
        <translation>Warten auf das Ergebnis</translation>
    </message>
    <message>
        <source>moved shape</source>
        <translation>Form verschoben</translation>
    </message>
    <message>
        <source>Click the place around which the shape is repeated. Esc leaves it.</source>
        <translation>Klicke die Stelle, um die herum die Form wiederholt wird. Esc verlässt es.</translation>
    </message>
    <message>
        <source>Nothing would be left of these shapes.</source>
        <translation>Von diesen Formen bliebe nichts übrig.</translation>
    </message>
    <message>
        <source>combined shapes</source>
        <translation>Formen vereint</translation>
    </message>
    <message>
        <source>aligned shapes</source>
        <translation>Formen ausgerichtet</translation>
    </message>
</context>
<context>
    <name>ChecksBox</name>
    <message>
        <source>All checks</source>
        <translation>Alle Prüfungen</translation>
    </message>
    <message>
        <source>Every check, and which of them are wanted</source>
        <translation>Jede Prüfung, und welche gewünscht sind</translation>
    </message>
    <message>
        <source>Being checked …</source>
        <translation>Wird geprüft …</translation>
    </message>
    <message>
        <source>Checked once the exact result is there.</source>
        <translation>Wird geprüft, sobald das genaue Ergebnis da ist.</translation>
    </message>
    <message>
        <source>All {0} checks pass.</source>
        <translation>Alle {0} Prüfungen bestanden.</translation>
    </message>
    <message>
        <source>{0} of {1} checks pass.</source>
        <translation>{0} von {1} Prüfungen bestanden.</translation>
    </message>
    <message>
        <source>1 is not made yet.</source>
        <translation>1 steht noch aus.</translation>
    </message>
    <message>
        <source>{0} are not made yet.</source>
        <translation>{0} stehen noch aus.</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Hinweis</translation>
    </message>
    <message>
        <source>warning</source>
        <translation>Warnung</translation>
    </message>
    <message>
        <source>stop</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>passed</source>
        <translation>bestanden</translation>
    </message>
    <message>
        <source>not made yet</source>
        <translation>steht noch aus</translation>
    </message>
    <message>
        <source>not wanted</source>
        <translation>nicht gewünscht</translation>
    </message>
    <message>
        <source>Somebody may be hurt: it is always made</source>
        <translation>Jemand könnte sich verletzen: Sie wird immer gemacht</translation>
    </message>
    <message>
        <source>Whether this is checked for whoever gets it</source>
        <translation>Ob das für diesen Empfänger geprüft wird</translation>
    </message>
    <message>
        <source>And 1 more.</source>
        <translation>Und 1 weiterer.</translation>
    </message>
    <message>
        <source>And {0} more.</source>
        <translation>Und {0} weitere.</translation>
    </message>
    <message>
        <source>Known once Sheets has carved the blank.</source>
        <translation>Bekannt, sobald der Rohling unter Bogen geschnitzt wurde.</translation>
    </message>
    <message>
        <source>Known once the sheets are planned.</source>
        <translation>Bekannt, sobald die Bögen geplant sind.</translation>
    </message>
    <message>
        <source>Known once the files were looked at.</source>
        <translation>Bekannt, sobald die Dateien angesehen wurden.</translation>
    </message>
    <message>
        <source>Go there</source>
        <translation>Dorthin</translation>
    </message>
    <message>
        <source>Go to the next</source>
        <translation>Zur nächsten</translation>
    </message>
</context>
<context>
    <name>ChoiceStrip</name>
    <message>
        <source>What can be done to what is chosen</source>
        <translation>Was sich mit dem Gewählten tun lässt</translation>
    </message>
</context>
<context>
    <name>Choosing</name>
    <message>
        <source>A colour for what is chosen</source>
        <translation>Eine Farbe für das Gewählte</translation>
    </message>
    <message>
        <source>Click what you want to change; click again for what lies below it. Drag a box, with Ctrl a line around, with Ctrl and Alt one that parts what it crosses; Shift adds.</source>
        <translation>Klicke an, was du ändern willst; noch ein Klick nimmt, was darunter liegt. Ziehe einen Rahmen, mit Strg eine Linie darum, mit Strg und Alt eine, die trennt, was sie kreuzt; Umschalt fügt hinzu.</translation>
    </message>
</context>
<context>
    <name>ChosenBox</name>
    <message>
        <source>Way of layering of the chosen layer</source>
        <translation>Art der Schichtung der gewählten Ebene</translation>
    </message>
    <message>
        <source>Layered like the rest</source>
        <translation>Geschichtet wie der Rest</translation>
    </message>
    <message>
        <source>{0}, whatever the rest is</source>
        <translation>{0}, was der Rest auch ist</translation>
    </message>
    <message>
        <source>way of one layer</source>
        <translation>Art einer Ebene</translation>
    </message>
    <message>
        <source>Group</source>
        <translation>Gruppe</translation>
    </message>
    <message>
        <source>Name of the layer</source>
        <translation>Name der Ebene</translation>
    </message>
    <message>
        <source>Cut colour…</source>
        <translation>Schnittfarbe …</translation>
    </message>
    <message>
        <source>The colour of the sheet this layer is cut from</source>
        <translation>Die Farbe des Bogens, aus dem diese Ebene geschnitten wird</translation>
    </message>
    <message>
        <source>Leave out</source>
        <translation>Auslassen</translation>
    </message>
    <message>
        <source>No sheet for it: what it is laid on shows there</source>
        <translation>Kein Bogen dafür: dort zeigt sich, worauf alles liegt</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>Make base</source>
        <translation>Zur Basis</translation>
    </message>
    <message>
        <source>Move it under all others</source>
        <translation>Unter alle anderen legen</translation>
    </message>
    <message>
        <source>Merge down</source>
        <translation>Nach unten vereinen</translation>
    </message>
    <message>
        <source>One layer with the one below it</source>
        <translation>Eine Ebene mit der darunter</translation>
    </message>
    <message>
        <source>Part again</source>
        <translation>Wieder trennen</translation>
    </message>
    <message>
        <source>Take apart what was merged</source>
        <translation>Trennen, was vereint wurde</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Its regions, name and colour stay as they are; so do those of its group</source>
        <translation>Ihre Flächen, Name und Farbe bleiben, wie sie sind; die ihrer Gruppe auch</translation>
    </message>
    <message>
        <source>locked layer</source>
        <translation>Ebene gesperrt</translation>
    </message>
    <message>
        <source>Hide</source>
        <translation>Verbergen</translation>
    </message>
    <message>
        <source>It is not painted on the bench, but cut all the same; nor are those of its group</source>
        <translation>Sie wird auf der Werkbank nicht gemalt, aber trotzdem geschnitten; die ihrer Gruppe ebenso</translation>
    </message>
    <message>
        <source>hidden layer</source>
        <translation>Ebene verborgen</translation>
    </message>
    <message>
        <source>Group of the layer</source>
        <translation>Gruppe der Ebene</translation>
    </message>
    <message>
        <source>no group</source>
        <translation>keine Gruppe</translation>
    </message>
    <message>
        <source>Group by sheet</source>
        <translation>Nach Bogen gruppieren</translation>
    </message>
    <message>
        <source>All of its material</source>
        <translation>Alle aus seinem Material</translation>
    </message>
    <message>
        <source>Every layer is cut from the material of the chosen one</source>
        <translation>Jede Ebene wird aus dem Material der gewählten geschnitten</translation>
    </message>
    <message>
        <source>All layers that are cut from one colour and material become a group</source>
        <translation>Alle Ebenen aus einer Farbe und einem Material werden eine Gruppe</translation>
    </message>
    <message>
        <source>Material of the chosen layer</source>
        <translation>Material der gewählten Ebene</translation>
    </message>
    <message>
        <source>Materials…</source>
        <translation>Materialien …</translation>
    </message>
    <message>
        <source>The table of materials, to be changed</source>
        <translation>Die Tabelle der Materialien, zum Ändern</translation>
    </message>
    <message>
        <source>No material said</source>
        <translation>Kein Material genannt</translation>
    </message>
    <message>
        <source>{0}, {1:g} mm</source>
        <translation>{0}, {1:g} mm</translation>
    </message>
    <message>
        <source>click a layer</source>
        <translation>klicke eine Ebene an</translation>
    </message>
    <message>
        <source>group of a layer</source>
        <translation>Gruppe einer Ebene</translation>
    </message>
    <message>
        <source>layers grouped by sheet</source>
        <translation>Ebenen nach Bogen gruppiert</translation>
    </message>
    <message>
        <source>material</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>layer name</source>
        <translation>Name der Ebene</translation>
    </message>
    <message>
        <source>Cut colour of {0}</source>
        <translation>Schnittfarbe von {0}</translation>
    </message>
    <message>
        <source>cut colour</source>
        <translation>Schnittfarbe</translation>
    </message>
    <message>
        <source>merged layers</source>
        <translation>Ebenen vereint</translation>
    </message>
    <message>
        <source>parted layers</source>
        <translation>Ebenen getrennt</translation>
    </message>
</context>
<context>
    <name>CleanPanel</name>
    <message>
        <source>Clean</source>
        <translation>Säubern</translation>
    </message>
    <message>
        <source>Pen lines have no regions. Strokes are taken out in Trace; make them shapes there to clean regions here.</source>
        <translation>Stiftlinien haben keine Flächen. Striche nimmst du beim Nachzeichnen heraus; mach sie dort zu Formen, um hier Flächen zu säubern.</translation>
    </message>
    <message>
        <source>The smallest regions</source>
        <translation>Die kleinsten Flächen</translation>
    </message>
    <message>
        <source>What was changed</source>
        <translation>Was geändert wurde</translation>
    </message>
    <message>
        <source>Gaps and ink</source>
        <translation>Lücken und Tinte</translation>
    </message>
    <message>
        <source>Narrow places</source>
        <translation>Schmale Stellen</translation>
    </message>
    <message>
        <source>Several regions</source>
        <translation>Mehrere Flächen</translation>
    </message>
    <message>
        <source>Strokes</source>
        <translation>Striche</translation>
    </message>
    <message>
        <source>Split lines</source>
        <translation>Trennlinien</translation>
    </message>
    <message>
        <source>Cover an area</source>
        <translation>Bereich abdecken</translation>
    </message>
    <message>
        <source>Shapes and words</source>
        <translation>Formen und Wörter</translation>
    </message>
    <message>
        <source>Mirror one half</source>
        <translation>Eine Hälfte spiegeln</translation>
    </message>
    <message>
        <source>Boundaries by hand</source>
        <translation>Ränder von Hand</translation>
    </message>
    <message>
        <source>Nearly regular</source>
        <translation>Beinahe regelmäßig</translation>
    </message>
    <message>
        <source>Backing and rim</source>
        <translation>Unterlage und Rand</translation>
    </message>
    <message>
        <source>Stencil bridges</source>
        <translation>Schablonenstege</translation>
    </message>
    <message>
        <source>What comes out</source>
        <translation>Was herauskommt</translation>
    </message>
    <message>
        <source>Nothing is chosen. Click on the bench what you want to change: a region, a shape, the line around it; click again for what lies below.</source>
        <translation>Nichts ist gewählt. Klick auf der Werkbank an, was du ändern willst: eine Fläche, eine Form, die Linie darum; noch ein Klick nimmt, was darunter liegt.</translation>
    </message>
    <message>
        <source>Mend</source>
        <translation>Beheben</translation>
    </message>
    <message>
        <source>The drawing is mended by hand: what is chosen on the bench carries what can be done to it.</source>
        <translation>Die Zeichnung wird von Hand ausgebessert: Was auf der Werkbank gewählt ist, trägt bei sich, was sich damit tun lässt.</translation>
    </message>
    <message>
        <source>Choose is held as you come. Everything else is under More, or found by its words.</source>
        <translation>„Wählen“ liegt schon in der Hand. Alles andere steht unter „Mehr“ oder wird mit Worten gefunden.</translation>
    </message>
    <message>
        <source>Click a region, a shape or a gap; click again for the stroke or line around it.</source>
        <translation>Klicke eine Fläche, eine Form oder eine Lücke an; noch ein Klick nimmt den Strich oder die Linie darum.</translation>
    </message>
    <message>
        <source>What is chosen, its figures, and what can be done to it, with its keys.</source>
        <translation>Was gewählt ist, seine Zahlen und was sich damit tun lässt, mit den Tasten dafür.</translation>
    </message>
    <message>
        <source>What may go wrong when it is cut, each with a way to mend it.</source>
        <translation>Was beim Schneiden schiefgehen kann, jeweils mit einem Weg, es auszubessern.</translation>
    </message>
    <message>
        <source>Every decision about a region; it can be taken back or held off.</source>
        <translation>Jede Entscheidung über eine Fläche; sie kann zurückgenommen oder ausgesetzt werden.</translation>
    </message>
    <message>
        <source>Regions cut</source>
        <translation>Geschnittene Flächen</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Holes</source>
        <translation>Löcher</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
</context>
<context>
    <name>Cleaning</name>
    <message>
        <source>Point at a region.</source>
        <translation>Zeige auf eine Fläche.</translation>
    </message>
    <message>
        <source>Thickening</source>
        <translation>Verdicken</translation>
    </message>
    <message>
        <source>thickened</source>
        <translation>verdickt</translation>
    </message>
    <message>
        <source>1 stretch stays under the smallest width: another line there makes nothing wider. It is in the list of narrow places.</source>
        <translation>1 Stelle bleibt unter der kleinsten Breite: Noch eine Linie macht dort nichts breiter. Sie steht in der Liste der schmalen Stellen.</translation>
    </message>
    <message>
        <source>{0} stretches stay under the smallest width: more lines there make nothing wider. They are in the list of narrow places.</source>
        <translation>{0} Stellen bleiben unter der kleinsten Breite: Weitere Linien machen dort nichts breiter. Sie stehen in der Liste der schmalen Stellen.</translation>
    </message>
    <message>
        <source>painted cells</source>
        <translation>bemalte Zellen</translation>
    </message>
    <message>
        <source>region brought back</source>
        <translation>Fläche zurückgeholt</translation>
    </message>
    <message>
        <source>dropped region</source>
        <translation>Fläche weggelassen</translation>
    </message>
    <message>
        <source>opened region</source>
        <translation>Fläche geöffnet</translation>
    </message>
    <message>
        <source>coloured region</source>
        <translation>Fläche gefärbt</translation>
    </message>
    <message>
        <source>region from a sheet below</source>
        <translation>Fläche von einem Bogen darunter</translation>
    </message>
    <message>
        <source>region on top</source>
        <translation>Fläche obenauf</translation>
    </message>
    <message>
        <source>kept region</source>
        <translation>Fläche behalten</translation>
    </message>
</context>
<context>
    <name>ColourBox</name>
    <message>
        <source>Colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>Find the number for me</source>
        <translation>Die Zahl für mich finden</translation>
    </message>
    <message>
        <source>number of colours</source>
        <translation>Zahl der Farben</translation>
    </message>
    <message>
        <source>Palette</source>
        <translation>Palette</translation>
    </message>
    <message>
        <source>Add a colour clicked in the picture</source>
        <translation>Eine im Bild angeklickte Farbe hinzufügen</translation>
    </message>
    <message>
        <source>Forget my colour edits</source>
        <translation>Meine Farbänderungen vergessen</translation>
    </message>
    <message>
        <source>colour edits</source>
        <translation>Farbänderungen</translation>
    </message>
    <message>
        <source> +{0}</source>
        <translation> +{0}</translation>
    </message>
    <message>
        <source>sheet {0}</source>
        <translation>Bogen {0}</translation>
    </message>
    <message>
        <source>not cut</source>
        <translation>nicht geschnitten</translation>
    </message>
    <message>
        <source> · locked</source>
        <translation> · gesperrt</translation>
    </message>
    <message>
        <source>{0} of the picture; shades merged into it: {1}</source>
        <translation>{0} des Bildes; darin vereinte Töne: {1}</translation>
    </message>
    <message>
        <source>added colour</source>
        <translation>Farbe hinzugefügt</translation>
    </message>
    <message>
        <source>picked colour</source>
        <translation>Farbe gewählt</translation>
    </message>
    <message>
        <source>merged colours</source>
        <translation>Farben vereint</translation>
    </message>
    <message>
        <source>This colour has only one shade</source>
        <translation>Diese Farbe hat nur einen Ton</translation>
    </message>
    <message>
        <source>split colour</source>
        <translation>Farbe geteilt</translation>
    </message>
    <message>
        <source>same as</source>
        <translation>gleich wie</translation>
    </message>
    <message>
        <source>Add a colour</source>
        <translation>Farbe hinzufügen</translation>
    </message>
    <message>
        <source>Palette, top sheet first; click one for what can be done</source>
        <translation>Palette, oberster Bogen zuerst; ein Klick zeigt, was sich tun lässt</translation>
    </message>
    <message>
        <source>locked colours</source>
        <translation>Farben gesperrt</translation>
    </message>
    <message>
        <source>left out colours</source>
        <translation>Farben ausgelassen</translation>
    </message>
    <message>
        <source>order of the sheets</source>
        <translation>Reihenfolge der Bogen</translation>
    </message>
</context>
<context>
    <name>ColourChoosing</name>
    <message>
        <source>Click a colour; Shift adds another.</source>
        <translation>Klicke eine Farbe an; Umschalt fügt eine weitere hinzu.</translation>
    </message>
</context>
<context>
    <name>Colours</name>
    <message>
        <source>Colours to give</source>
        <translation>Farben zum Vergeben</translation>
    </message>
    <message>
        <source>Choose a colour and click regions, or drag it onto one</source>
        <translation>Wähle eine Farbe und klicke Flächen an, oder ziehe sie auf eine</translation>
    </message>
</context>
<context>
    <name>CommandSearch</name>
    <message>
        <source>Search everything</source>
        <translation>Alles durchsuchen</translation>
    </message>
    <message>
        <source>What do you want to do?  mirror, kerf, make thicker …</source>
        <translation>Was willst du tun?  spiegeln, Schnittfuge, dicker machen …</translation>
    </message>
    <message>
        <source>What is looked for</source>
        <translation>Was gesucht wird</translation>
    </message>
    <message>
        <source>What was found</source>
        <translation>Was gefunden wurde</translation>
    </message>
    <message>
        <source>Nothing is called so. Try another word.</source>
        <translation>Nichts heißt so. Versuch ein anderes Wort.</translation>
    </message>
</context>
<context>
    <name>CostBox</name>
    <message>
        <source>a sheet</source>
        <translation>ein Bogen</translation>
    </message>
    <message>
        <source>a metre</source>
        <translation>ein Meter</translation>
    </message>
    <message>
        <source>a square metre</source>
        <translation>ein Quadratmeter</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Travel</source>
        <translation>Leerwege</translation>
    </message>
    <message>
        <source>{0}, {1} in the order of the file</source>
        <translation>{0}; {1} in der Folge der Datei</translation>
    </message>
    <message>
        <source>Machine, with loading</source>
        <translation>Maschine, mit Einlegen</translation>
    </message>
    <message>
        <source>Weeding</source>
        <translation>Entgittern</translation>
    </message>
    <message>
        <source>Laying</source>
        <translation>Legen</translation>
    </message>
    <message>
        <source>All of it</source>
        <translation>Alles</translation>
    </message>
    <message>
        <source>{0} to {1}</source>
        <translation>{0} bis {1}</translation>
    </message>
    <message>
        <source>{0} sheets, {1} m²</source>
        <translation>{0} Bogen, {1} m²</translation>
    </message>
    <message>
        <source>Rates were measured here.</source>
        <translation>Die Sätze wurden hier gemessen.</translation>
    </message>
    <message>
        <source>Rates are from memory until they are measured.</source>
        <translation>Die Sätze sind aus dem Gedächtnis, bis sie gemessen sind.</translation>
    </message>
    <message>
        <source>Material</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>Hands</source>
        <translation>Hände</translation>
    </message>
    <message>
        <source>Margin</source>
        <translation>Aufschlag</translation>
    </message>
    <message>
        <source>Together</source>
        <translation>Zusammen</translation>
    </message>
    <message>
        <source>Material not said</source>
        <translation>Material nicht gesagt</translation>
    </message>
    <message>
        <source>An hour of the machine</source>
        <translation>Eine Stunde Maschine</translation>
    </message>
    <message>
        <source>An hour of hands</source>
        <translation>Eine Stunde Handarbeit</translation>
    </message>
    <message>
        <source>Margin, %</source>
        <translation>Aufschlag, %</translation>
    </message>
    <message>
        <source>Currency</source>
        <translation>Währung</translation>
    </message>
    <message>
        <source>Price of {0} for</source>
        <translation>Preis von {0} für</translation>
    </message>
    <message>
        <source>A price is a number, such as 12.50.</source>
        <translation>Ein Preis ist eine Zahl wie 12,50.</translation>
    </message>
</context>
<context>
    <name>CoversBox</name>
    <message>
        <source>Cover an area…</source>
        <translation>Bereich abdecken …</translation>
    </message>
    <message>
        <source>Draw round something held or written over the picture: what lies around it goes on there</source>
        <translation>Zeichne um etwas, das über das Bild gehalten oder geschrieben ist: was darum liegt, geht dort weiter</translation>
    </message>
    <message>
        <source>Covered areas, the latest first</source>
        <translation>Abgedeckte Bereiche, der letzte zuerst</translation>
    </message>
    <message>
        <source>covered area</source>
        <translation>Bereich abgedeckt</translation>
    </message>
    <message>
        <source>Takes out a held object or a caption: areas run on into it, lines end at it.</source>
        <translation>Nimmt einen gehaltenen Gegenstand oder eine Beschriftung heraus: Flächen laufen weiter hinein, Linien enden daran.</translation>
    </message>
    <message>
        <source>Covered area {0}</source>
        <translation>Abgedeckter Bereich {0}</translation>
    </message>
</context>
<context>
    <name>CropTool</name>
    <message>
        <source>Drag a frame around what to keep, then press Enter. Esc leaves it.</source>
        <translation>Ziehe einen Rahmen um das, was bleiben soll, dann drücke Enter. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>Cross</name>
    <message>
        <source>Place of the cross, across and down</source>
        <translation>Ort des Kreuzes, quer und nach unten</translation>
    </message>
    <message>
        <source>across, down: 25, 40.5</source>
        <translation>quer, nach unten: 25, 40.5</translation>
    </message>
</context>
<context>
    <name>CurvesBox</name>
    <message>
        <source>Choose a stretch on the bench</source>
        <translation>Ein Stück auf der Werkbank wählen</translation>
    </message>
    <message>
        <source>Brush along a boundary; once round takes all of it</source>
        <translation>Fahre einen Rand entlang; einmal herum nimmt ihn ganz</translation>
    </message>
    <message>
        <source>Both neighbours of a boundary follow it.</source>
        <translation>Beide Nachbarn eines Randes folgen ihm.</translation>
    </message>
    <message>
        <source>Radius of a round corner</source>
        <translation>Radius einer runden Ecke</translation>
    </message>
    <message>
        <source>Smooth</source>
        <translation>Glätten</translation>
    </message>
    <message>
        <source>Bumps go, the ends stay</source>
        <translation>Beulen gehen, die Enden bleiben</translation>
    </message>
    <message>
        <source>Straighten</source>
        <translation>Gerade richten</translation>
    </message>
    <message>
        <source>A straight line between the ends</source>
        <translation>Eine gerade Linie zwischen den Enden</translation>
    </message>
    <message>
        <source>True arc</source>
        <translation>Wahrer Bogen</translation>
    </message>
    <message>
        <source>The arc of a circle through both ends; a whole ring becomes a circle</source>
        <translation>Der Kreisbogen durch beide Enden; ein ganzer Ring wird ein Kreis</translation>
    </message>
    <message>
        <source>Fewer nodes</source>
        <translation>Weniger Knoten</translation>
    </message>
    <message>
        <source>As few as stay within 0.15 mm</source>
        <translation>So wenige, wie innerhalb von 0,15 mm bleiben</translation>
    </message>
    <message>
        <source>One node less</source>
        <translation>Ein Knoten weniger</translation>
    </message>
    <message>
        <source>The node goes whose going changes least; click again for more</source>
        <translation>Der Knoten geht, dessen Fehlen am wenigsten ändert; klicke nochmals für mehr</translation>
    </message>
    <message>
        <source>Make a corner</source>
        <translation>Ecke machen</translation>
    </message>
    <message>
        <source>Both ends run on until they meet</source>
        <translation>Beide Enden laufen weiter, bis sie sich treffen</translation>
    </message>
    <message>
        <source>Round a corner</source>
        <translation>Ecke runden</translation>
    </message>
    <message>
        <source>By the radius beside it</source>
        <translation>Mit dem Radius daneben</translation>
    </message>
    <message>
        <source>Add a node</source>
        <translation>Knoten einfügen</translation>
    </message>
    <message>
        <source>After the chosen node; two clicks on the line put one there</source>
        <translation>Nach dem gewählten Knoten; zwei Klicks auf die Linie setzen einen dorthin</translation>
    </message>
    <message>
        <source>Take the node away</source>
        <translation>Knoten entfernen</translation>
    </message>
    <message>
        <source>The course stays as near as it can (Delete)</source>
        <translation>Der Verlauf bleibt so nah wie möglich (Entf)</translation>
    </message>
    <message>
        <source>Corner</source>
        <translation>Ecke</translation>
    </message>
    <message>
        <source>Changed boundaries, the latest first</source>
        <translation>Geänderte Ränder, der letzte zuerst</translation>
    </message>
    <message>
        <source>changed boundary</source>
        <translation>Rand geändert</translation>
    </message>
    <message>
        <source>nodes set</source>
        <translation>Knoten gesetzt</translation>
    </message>
    <message>
        <source>smoothed</source>
        <translation>geglättet</translation>
    </message>
    <message>
        <source>fewer nodes</source>
        <translation>weniger Knoten</translation>
    </message>
    <message>
        <source>straight</source>
        <translation>gerade</translation>
    </message>
    <message>
        <source>true arc</source>
        <translation>wahrer Bogen</translation>
    </message>
    <message>
        <source>true circle</source>
        <translation>wahrer Kreis</translation>
    </message>
    <message>
        <source>corner</source>
        <translation>Ecke</translation>
    </message>
    <message>
        <source>round corner</source>
        <translation>runde Ecke</translation>
    </message>
    <message>
        <source>pulled</source>
        <translation>gezogen</translation>
    </message>
    <message>
        <source>equal circle</source>
        <translation>gleicher Kreis</translation>
    </message>
    <message>
        <source>common centre</source>
        <translation>gemeinsame Mitte</translation>
    </message>
    <message>
        <source>parallel</source>
        <translation>parallel</translation>
    </message>
    <message>
        <source>symmetric</source>
        <translation>symmetrisch</translation>
    </message>
    <message>
        <source>Click a node on the line to change it.</source>
        <translation>Klicken Sie auf einen Knoten der Linie, um ihn zu ändern.</translation>
    </message>
    <message>
        <source>A smooth node: its two handles keep one line.</source>
        <translation>Ein glatter Knoten: seine zwei Griffe bleiben in einer Linie.</translation>
    </message>
    <message>
        <source>A corner: each handle goes its own way.</source>
        <translation>Eine Ecke: jeder Griff geht seinen eigenen Weg.</translation>
    </message>
    <message>
        <source>An end of the stretch stays where it is; its handle can be moved.</source>
        <translation>Ein Ende der Strecke bleibt, wo es ist; sein Griff lässt sich bewegen.</translation>
    </message>
    <message>
        <source>Make it smooth</source>
        <translation>Glätten</translation>
    </message>
    <message>
        <source>Make it a corner</source>
        <translation>Zur Ecke machen</translation>
    </message>
    <message>
        <source>Both handles come to lie in one line</source>
        <translation>Beide Griffe kommen in eine Linie</translation>
    </message>
    <message>
        <source>Its handles can then be moved each for itself</source>
        <translation>Seine Griffe lassen sich dann einzeln bewegen</translation>
    </message>
    <message>
        <source>Boundary {0}, {1}</source>
        <translation>Rand {0}, {1}</translation>
    </message>
    <message>
        <source>{0} · not found</source>
        <translation>{0} · nicht gefunden</translation>
    </message>
</context>
<context>
    <name>DetailBox</name>
    <message>
        <source>Smallest detail kept</source>
        <translation>Kleinstes Detail, das bleibt</translation>
    </message>
    <message>
        <source>smallest detail</source>
        <translation>kleinstes Detail</translation>
    </message>
    <message>
        <source>Smallest detail</source>
        <translation>Kleinstes Detail</translation>
    </message>
    <message>
        <source>Smallest detail by material</source>
        <translation>Kleinstes Detail nach Material</translation>
    </message>
    <message>
        <source>A start, not a promise: a test cut on the very sheet decides.</source>
        <translation>Ein Anfang, kein Versprechen: ein Probeschnitt auf genau diesem Bogen entscheidet.</translation>
    </message>
    <message>
        <source>Ring on the bench what went to a neighbour</source>
        <translation>Auf der Werkbank einkreisen, was an einen Nachbarn ging</translation>
    </message>
    <message>
        <source>Details lost, largest first</source>
        <translation>Verlorene Details, die größten zuerst</translation>
    </message>
    <message>
        <source>Bring back</source>
        <translation>Zurückholen</translation>
    </message>
    <message>
        <source>Keep the chosen details though they are small</source>
        <translation>Die gewählten Details behalten, obwohl sie klein sind</translation>
    </message>
    <message>
        <source>All from its size</source>
        <translation>Alle ab dieser Größe</translation>
    </message>
    <message>
        <source>Keep everything as large as the chosen detail or larger</source>
        <translation>Alles behalten, was so groß ist wie das gewählte Detail oder größer</translation>
    </message>
    <message>
        <source>Let the details that were brought back go again</source>
        <translation>Die zurückgeholten Details wieder gehen lassen</translation>
    </message>
    <message>
        <source>details brought back</source>
        <translation>zurückgeholte Details</translation>
    </message>
    <message>
        <source>Take it from a material…</source>
        <translation>Von einem Material nehmen …</translation>
    </message>
    <message>
        <source>Floor of the trade</source>
        <translation>Untergrenze des Handwerks</translation>
    </message>
    <message>
        <source>Common default of the trade</source>
        <translation>Üblicher Wert des Handwerks</translation>
    </message>
    <message>
        <source>smallest detail of a material</source>
        <translation>kleinstes Detail eines Materials</translation>
    </message>
    <message>
        <source>Show the 1 detail lost</source>
        <translation>Das 1 verlorene Detail zeigen</translation>
    </message>
    <message>
        <source>Show the {0} details lost</source>
        <translation>Die {0} verlorenen Details zeigen</translation>
    </message>
    <message>
        <source>No detail is lost</source>
        <translation>Kein Detail ist verloren</translation>
    </message>
    <message>
        <source>{0} across at {1}, {2}</source>
        <translation>{0} groß bei {1}, {2}</translation>
    </message>
    <message>
        <source>Let the 1 brought back go</source>
        <translation>Das 1 zurückgeholte gehen lassen</translation>
    </message>
    <message>
        <source>Let the {0} brought back go</source>
        <translation>Die {0} zurückgeholten gehen lassen</translation>
    </message>
    <message>
        <source>brought details back</source>
        <translation>Details zurückgeholt</translation>
    </message>
    <message>
        <source>brought details back by size</source>
        <translation>Details nach Größe zurückgeholt</translation>
    </message>
</context>
<context>
    <name>Detailing</name>
    <message>
        <source>pieces on top</source>
        <translation>Teile obenauf</translation>
    </message>
    <message>
        <source>openings</source>
        <translation>Öffnungen</translation>
    </message>
</context>
<context>
    <name>DetailsBox</name>
    <message>
        <source>Openings, ticked where a piece is laid on top</source>
        <translation>Öffnungen, angehakt, wo ein Teil aufgelegt wird</translation>
    </message>
    <message>
        <source>Take the cheaper of each</source>
        <translation>Je das Günstigere nehmen</translation>
    </message>
    <message>
        <source>1 sheet</source>
        <translation>1 Bogen</translation>
    </message>
    <message>
        <source>{0} sheets</source>
        <translation>{0} Bogen</translation>
    </message>
    <message>
        <source>{0}: {1} · piece: {2}</source>
        <translation>{0}: {1} · Teil: {2}</translation>
    </message>
    <message>
        <source>Sheets laid whole have no opening here, or are laid another way.</source>
        <translation>Ganz gelegte Bögen haben hier keine Öffnung, oder sie werden anders gelegt.</translation>
    </message>
    <message>
        <source>Cut through so many sheets as an opening, or once as a piece laid on top (ticked); laying one counts as {0}. What costs less the other way is bold.</source>
        <translation>Als Öffnung durch so viele Bögen geschnitten oder einmal als aufgelegtes Teil (angehakt); eines zu legen zählt wie {0}. Was andersherum weniger kostet, ist fett.</translation>
    </message>
</context>
<context>
    <name>DeviceForm</name>
    <message>
        <source>One more</source>
        <translation>Noch eines</translation>
    </message>
    <message>
        <source>Keep this machine</source>
        <translation>Diese Maschine behalten</translation>
    </message>
    <message>
        <source>Into the table of machines</source>
        <translation>In die Tabelle der Maschinen</translation>
    </message>
    <message>
        <source>As the last job had it: its speeds, carriers and settings for materials</source>
        <translation>Wie der letzte Auftrag sie hatte: Geschwindigkeiten, Träger und Einstellungen für Materialien</translation>
    </message>
    <message>
        <source>Jobs done</source>
        <translation>Fertige Aufträge</translation>
    </message>
    <message>
        <source>Running, as said</source>
        <translation>Gelaufen, wie angegeben</translation>
    </message>
    <message>
        <source>Last</source>
        <translation>Zuletzt</translation>
    </message>
    <message>
        <source>Its figures come with its first job.</source>
        <translation>Ihre Werte kommen mit dem ersten Auftrag.</translation>
    </message>
    <message>
        <source>The table of machines has the same figures.</source>
        <translation>Die Tabelle der Maschinen hat dieselben Werte.</translation>
    </message>
    <message>
        <source>The table of machines has other figures than its last job, or none.</source>
        <translation>Die Tabelle der Maschinen hat andere Werte als der letzte Auftrag, oder keine.</translation>
    </message>
</context>
<context>
    <name>DialectBox</name>
    <message>
        <source>Dialect of machine code</source>
        <translation>Dialekt des Maschinencodes</translation>
    </message>
    <message>
        <source>The words of G-code that the machine knows; its manual tells them</source>
        <translation>Die Wörter des G-Codes, die die Maschine kennt; ihr Handbuch nennt sie</translation>
    </message>
    <message>
        <source>Table…</source>
        <translation>Tabelle …</translation>
    </message>
    <message>
        <source>Dialects, to be changed or added to</source>
        <translation>Dialekte, zum Ändern oder Ergänzen</translation>
    </message>
    <message>
        <source>Machine code</source>
        <translation>Maschinencode</translation>
    </message>
    <message>
        <source>The machine&apos;s own</source>
        <translation>Der der Maschine</translation>
    </message>
</context>
<context>
    <name>DialectsTable</name>
    <message>
        <source>Dialects of machine code</source>
        <translation>Dialekte des Maschinencodes</translation>
    </message>
    <message>
        <source>What a machine&apos;s manual asks for. In braces stand figures of the machine and the material: {0}.</source>
        <translation>Was das Handbuch einer Maschine verlangt. In Klammern stehen Zahlen der Maschine und des Materials: {0}.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>At the beginning</source>
        <translation>Am Anfang</translation>
    </message>
    <message>
        <source>Tool on</source>
        <translation>Werkzeug an</translation>
    </message>
    <message>
        <source>Tool off</source>
        <translation>Werkzeug aus</translation>
    </message>
    <message>
        <source>Another tool</source>
        <translation>Anderes Werkzeug</translation>
    </message>
    <message>
        <source>At the end</source>
        <translation>Am Ende</translation>
    </message>
    <message>
        <source>Arcs (G2, G3)</source>
        <translation>Bögen (G2, G3)</translation>
    </message>
    <message>
        <source>Numbered lines</source>
        <translation>Nummerierte Zeilen</translation>
    </message>
    <message>
        <source>Decimals</source>
        <translation>Nachkommastellen</translation>
    </message>
    <message>
        <source>A disc of 10 mm in this dialect</source>
        <translation>Eine Scheibe von 10 mm in diesem Dialekt</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>A copy of the chosen one</source>
        <translation>Eine Kopie des gewählten</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The chosen one, where it is your own</source>
        <translation>Den gewählten, wenn es ein eigener ist</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>The plain kinds that come with the program</source>
        <translation>Die schlichten Arten, die mit dem Programm kommen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Changes that were not kept are left</source>
        <translation>Änderungen, die nicht behalten wurden, verfallen</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>The table is used from now on</source>
        <translation>Die Tabelle gilt von jetzt an</translation>
    </message>
    <message>
        <source>{0}, another</source>
        <translation>{0}, noch eines</translation>
    </message>
    <message>
        <source>What comes with the program stays; change it, or add another.</source>
        <translation>Was mit dem Programm kommt, bleibt; ändere es oder füge einen weiteren hinzu.</translation>
    </message>
</context>
<context>
    <name>Divided</name>
    <message>
        <source>Drag to make the panel wider; to its end, or F8, to fold it away</source>
        <translation>Ziehen macht das Feld breiter; bis zum Ende, oder F8, klappt es weg</translation>
    </message>
</context>
<context>
    <name>Document</name>
    <message>
        <source>No recovery copy could be written: {0}</source>
        <translation>Es konnte keine Sicherungskopie geschrieben werden: {0}</translation>
    </message>
</context>
<context>
    <name>DoublesBox</name>
    <message>
        <source>Make cuts nearer than this one</source>
        <translation>Schnitte, die näher liegen, zu einem machen</translation>
    </message>
    <message>
        <source>double outlines</source>
        <translation>doppelte Umrisse</translation>
    </message>
    <message>
        <source>Nearest that two cuts may run</source>
        <translation>So nah dürfen zwei Schnitte laufen</translation>
    </message>
    <message>
        <source>Show the next</source>
        <translation>Nächste zeigen</translation>
    </message>
    <message>
        <source>Bring the next place where two cuts run close into view</source>
        <translation>Die nächste Stelle zeigen, wo zwei Schnitte nah beieinander laufen</translation>
    </message>
    <message>
        <source>No two cuts run nearer than {0} beside each other.</source>
        <translation>Keine zwei Schnitte laufen näher als {0} nebeneinander.</translation>
    </message>
    <message>
        <source>{0} nearer than {1}, {2} in all.</source>
        <translation>{0} näher als {1}, zusammen {2}.</translation>
    </message>
    <message>
        <source>1 pair of cuts runs</source>
        <translation>1 Paar Schnitte läuft</translation>
    </message>
    <message>
        <source>{0} pairs of cuts run</source>
        <translation>{0} Paare Schnitte laufen</translation>
    </message>
</context>
<context>
    <name>Drawer</name>
    <message>
        <source>Close this</source>
        <translation>Dies schließen</translation>
    </message>
</context>
<context>
    <name>Drawing</name>
    <message>
        <source>Looking for fonts</source>
        <translation>Suche nach Schriften</translation>
    </message>
</context>
<context>
    <name>DropHint</name>
    <message>
        <source>Let go to open</source>
        <translation>Loslassen zum Öffnen</translation>
    </message>
</context>
<context>
    <name>EditsBox</name>
    <message>
        <source>What was decided about regions</source>
        <translation>Was über Flächen entschieden wurde</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>The chosen regions are as they were traced</source>
        <translation>Die gewählten Flächen sind, wie sie nachgezeichnet wurden</translation>
    </message>
    <message>
        <source>Take all back</source>
        <translation>Alles zurücknehmen</translation>
    </message>
    <message>
        <source>Every region is as it was traced</source>
        <translation>Jede Fläche ist, wie sie nachgezeichnet wurde</translation>
    </message>
    <message>
        <source>Clear lost ones</source>
        <translation>Verlorene räumen</translation>
    </message>
    <message>
        <source>Take out what finds no region any more</source>
        <translation>Herausnehmen, was keine Fläche mehr findet</translation>
    </message>
    <message>
        <source>all decisions taken back</source>
        <translation>alle Entscheidungen zurückgenommen</translation>
    </message>
    <message>
        <source>dropped</source>
        <translation>weggelassen</translation>
    </message>
    <message>
        <source>opened</source>
        <translation>geöffnet</translation>
    </message>
    <message>
        <source>now {0}</source>
        <translation>jetzt {0}</translation>
    </message>
    <message>
        <source>kept</source>
        <translation>behalten</translation>
    </message>
    <message>
        <source>from a sheet below</source>
        <translation>von einem Bogen darunter</translation>
    </message>
    <message>
        <source>on a sheet on top</source>
        <translation>auf einem Bogen obenauf</translation>
    </message>
    <message>
        <source>filled</source>
        <translation>gefüllt</translation>
    </message>
    <message>
        <source>{0}, {1}</source>
        <translation>{0}, {1}</translation>
    </message>
    <message>
        <source>{0} · not found</source>
        <translation>{0} · nicht gefunden</translation>
    </message>
    <message>
        <source>1 region was decided about</source>
        <translation>über 1 Fläche wurde entschieden</translation>
    </message>
    <message>
        <source>{0} regions were decided about</source>
        <translation>über {0} Flächen wurde entschieden</translation>
    </message>
    <message>
        <source>Nothing was changed yet.</source>
        <translation>Noch wurde nichts geändert.</translation>
    </message>
    <message>
        <source>{0}, the latest first.</source>
        <translation>{0}, das Letzte zuerst.</translation>
    </message>
    <message>
        <source>{0}; {1} not found again.</source>
        <translation>{0}; {1} nicht wiedergefunden.</translation>
    </message>
    <message>
        <source>decision on or off</source>
        <translation>Entscheidung ein oder aus</translation>
    </message>
    <message>
        <source>decision taken back</source>
        <translation>Entscheidung zurückgenommen</translation>
    </message>
    <message>
        <source>lost decisions</source>
        <translation>verlorene Entscheidungen</translation>
    </message>
    <message>
        <source>order of decisions</source>
        <translation>Reihenfolge der Entscheidungen</translation>
    </message>
</context>
<context>
    <name>EndsTool</name>
    <message>
        <source>Drag the end of a bridge, or its middle to move all of it. Esc ends.</source>
        <translation>Ziehe das Ende eines Stegs, oder seine Mitte, um ihn ganz zu verschieben. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>EntryTable</name>
    <message>
        <source>Entries</source>
        <translation>Einträge</translation>
    </message>
</context>
<context>
    <name>Evaluator</name>
    <message>
        <source>Tracing</source>
        <translation>Nachzeichnen</translation>
    </message>
</context>
<context>
    <name>EveryLayerBox</name>
    <message>
        <source>A frame is cut so far around every sheet; 0 for none</source>
        <translation>So weit um jeden Bogen wird ein Rahmen geschnitten; 0 für keinen</translation>
    </message>
    <message>
        <source>weeding frame</source>
        <translation>Entgitterrahmen</translation>
    </message>
    <message>
        <source>Helper cuts through the waste so far apart; 0 for none</source>
        <translation>Hilfsschnitte durch den Abfall so weit auseinander; 0 für keine</translation>
    </message>
    <message>
        <source>helper cuts</source>
        <translation>Hilfsschnitte</translation>
    </message>
    <message>
        <source>Language that layers are named in</source>
        <translation>Sprache, in der Ebenen benannt werden</translation>
    </message>
    <message>
        <source>Layers named in {0}</source>
        <translation>Ebenennamen auf {0}</translation>
    </message>
    <message>
        <source>language of names</source>
        <translation>Sprache der Namen</translation>
    </message>
    <message>
        <source>Blade</source>
        <translation>Klinge</translation>
    </message>
    <message>
        <source>Laser</source>
        <translation>Laser</translation>
    </message>
    <message>
        <source>Router</source>
        <translation>Fräse</translation>
    </message>
    <message>
        <source>What cuts</source>
        <translation>Was schneidet</translation>
    </message>
    <message>
        <source>tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>Inner depth of a frame, 0 for none</source>
        <translation>Innere Tiefe eines Rahmens, 0 für keinen</translation>
    </message>
    <message>
        <source>depth of the frame</source>
        <translation>Tiefe des Rahmens</translation>
    </message>
    <message>
        <source>Weeding frame</source>
        <translation>Entgitterrahmen</translation>
    </message>
    <message>
        <source>Helper cuts every</source>
        <translation>Hilfsschnitte alle</translation>
    </message>
    <message>
        <source>Cut by</source>
        <translation>Geschnitten mit</translation>
    </message>
    <message>
        <source>Frame depth</source>
        <translation>Rahmentiefe</translation>
    </message>
    <message>
        <source>What the work is laid on</source>
        <translation>Worauf die Arbeit liegt</translation>
    </message>
    <message>
        <source>Laid on: not said</source>
        <translation>Liegt auf: nicht genannt</translation>
    </message>
    <message>
        <source>White shirt, wall or card</source>
        <translation>Weißes Hemd, Wand oder Karton</translation>
    </message>
    <message>
        <source>Black shirt or card</source>
        <translation>Schwarzes Hemd oder Karton</translation>
    </message>
    <message>
        <source>Grey</source>
        <translation>Grau</translation>
    </message>
    <message>
        <source>Kraft card or wood</source>
        <translation>Kraftkarton oder Holz</translation>
    </message>
    <message>
        <source>Another colour…</source>
        <translation>Eine andere Farbe …</translation>
    </message>
    <message>
        <source>Colour of what the work is laid on</source>
        <translation>Farbe dessen, worauf die Arbeit liegt</translation>
    </message>
    <message>
        <source>what it is laid on</source>
        <translation>worauf sie liegt</translation>
    </message>
</context>
<context>
    <name>FaceStrip</name>
    <message>
        <source>Close look at small details</source>
        <translation>Kleine Details von nahem</translation>
    </message>
    <message>
        <source>Point here to have the strong small details hatched on the bench</source>
        <translation>Zeige hierher, um die starken kleinen Details auf der Werkbank schraffiert zu sehen</translation>
    </message>
    <message>
        <source>picture</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>without</source>
        <translation>ohne</translation>
    </message>
    <message>
        <source>with</source>
        <translation>mit</translation>
    </message>
</context>
<context>
    <name>FigureTool</name>
    <message>
        <source>Drag a box; the figure fills it. Esc leaves it.</source>
        <translation>Ziehe ein Rechteck; die Figur füllt es. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>Figures</name>
    <message>
        <source>circle</source>
        <translation>Kreis</translation>
    </message>
    <message>
        <source>star</source>
        <translation>Stern</translation>
    </message>
    <message>
        <source>rectangle</source>
        <translation>Rechteck</translation>
    </message>
    <message>
        <source>polygon</source>
        <translation>Vieleck</translation>
    </message>
</context>
<context>
    <name>FindingRows</name>
    <message>
        <source>note</source>
        <translation>Hinweis</translation>
    </message>
    <message>
        <source>warning</source>
        <translation>Warnung</translation>
    </message>
    <message>
        <source>stop</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>{0} places</source>
        <translation>{0} Stellen</translation>
    </message>
    <message>
        <source>the worst:</source>
        <translation>die schlimmste:</translation>
    </message>
    <message>
        <source>Go there</source>
        <translation>Dorthin</translation>
    </message>
    <message>
        <source>See what was dropped</source>
        <translation>Sehen, was wegfiel</translation>
    </message>
    <message>
        <source>Go to the next</source>
        <translation>Zur nächsten</translation>
    </message>
    <message>
        <source>All: {0}</source>
        <translation>Alle: {0}</translation>
    </message>
    <message>
        <source>Mend every place of this kind; you see it before you keep it</source>
        <translation>Jede Stelle dieser Art beheben; du siehst es, bevor du es behältst</translation>
    </message>
    <message>
        <source>One by one</source>
        <translation>Einzeln</translation>
    </message>
</context>
<context>
    <name>FindingsLine</name>
    <message>
        <source>Show all findings</source>
        <translation>Alle Befunde zeigen</translation>
    </message>
    <message>
        <source>Show all findings (Ctrl+L)</source>
        <translation>Alle Befunde zeigen (Strg+L)</translation>
    </message>
    <message>
        <source>Findings, the worst first</source>
        <translation>Funde, die schlimmsten zuerst</translation>
    </message>
    <message>
        <source>Nothing to look at in the result; something failed, see its message.</source>
        <translation>Am Ergebnis nichts zu beachten; etwas ist fehlgeschlagen, siehe die Meldung dazu.</translation>
    </message>
    <message>
        <source>Nothing to look at.</source>
        <translation>Nichts zu beachten.</translation>
    </message>
    <message>
        <source>{0} findings</source>
        <translation>{0} Befunde</translation>
    </message>
    <message>
        <source>1 finding</source>
        <translation>1 Befund</translation>
    </message>
    <message>
        <source>{0} of {1} kinds</source>
        <translation>{0} in {1} Arten</translation>
    </message>
</context>
<context>
    <name>Gaps</name>
    <message>
        <source>gap in an outline · {0} wide</source>
        <translation>Lücke in einem Umriss · {0} breit</translation>
    </message>
    <message>
        <source>{0} gaps in outlines · the narrowest {1} wide</source>
        <translation>{0} Lücken in Umrissen · die schmalste {1} breit</translation>
    </message>
</context>
<context>
    <name>GrowBox</name>
    <message>
        <source>Grow a region…</source>
        <translation>Fläche wachsen lassen …</translation>
    </message>
    <message>
        <source>Click a colour in the picture; what is alike around it becomes a region</source>
        <translation>Klicke eine Farbe im Bild an; was ihr ringsum gleicht, wird eine Fläche</translation>
    </message>
    <message>
        <source>Reach</source>
        <translation>Reichweite</translation>
    </message>
    <message>
        <source>Everywhere, not only where it hangs together</source>
        <translation>Überall, nicht nur wo sie zusammenhängt</translation>
    </message>
    <message>
        <source>Grown regions</source>
        <translation>Gewachsene Flächen</translation>
    </message>
    <message>
        <source>Take the chosen one back</source>
        <translation>Die gewählte zurücknehmen</translation>
    </message>
    <message>
        <source>{0}, as proposed</source>
        <translation>{0}, wie vorgeschlagen</translation>
    </message>
    <message>
        <source>{0}; proposed {1}</source>
        <translation>{0}; vorgeschlagen {1}</translation>
    </message>
    <message>
        <source>{0} of the picture. Enter makes it a region.</source>
        <translation>{0} des Bildes. Enter macht eine Fläche daraus.</translation>
    </message>
    <message>
        <source>everywhere</source>
        <translation>überall</translation>
    </message>
    <message>
        <source>in one place</source>
        <translation>an einer Stelle</translation>
    </message>
    <message>
        <source>{0}, reach {1:.0f}, {2}</source>
        <translation>{0}, Reichweite {1:.0f}, {2}</translation>
    </message>
    <message>
        <source>grown region</source>
        <translation>Fläche gewachsen</translation>
    </message>
</context>
<context>
    <name>GrowTool</name>
    <message>
        <source>Click a colour. Drag sideways to set how far it reaches; Enter makes it a region. Esc leaves it.</source>
        <translation>Klicke eine Farbe an. Ziehe seitwärts, um ihre Reichweite zu setzen; Enter macht eine Fläche daraus. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>HelpDialog</name>
    <message>
        <source>Help</source>
        <translation>Hilfe</translation>
    </message>
    <message>
        <source>First ten minutes</source>
        <translation>Die ersten zehn Minuten</translation>
    </message>
    <message>
        <source>The stages</source>
        <translation>Die Schritte</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Glossary</source>
        <translation>Wörterbuch</translation>
    </message>
</context>
<context>
    <name>Inking</name>
    <message>
        <source>Drag to paint, or click from point to point; Enter ends a line, Backspace takes a point back. Esc puts the brush down.</source>
        <translation>Ziehe zum Malen, oder klicke von Punkt zu Punkt; Enter beendet eine Linie, Rücktaste nimmt einen Punkt zurück. Esc legt den Pinsel weg.</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>painted line</source>
        <translation>gemalte Linie</translation>
    </message>
</context>
<context>
    <name>JobCalendar</name>
    <message>
        <source>Calendar of jobs</source>
        <translation>Kalender der Aufträge</translation>
    </message>
    <message>
        <source>A double click, or Return, takes the next job of the day</source>
        <translation>Ein Doppelklick, oder Eingabe, nimmt den nächsten Auftrag des Tages</translation>
    </message>
    <message>
        <source>{0}: {1}</source>
        <translation>{0}: {1}</translation>
    </message>
    <message>
        <source>and {0} more</source>
        <translation>und {0} weitere</translation>
    </message>
</context>
<context>
    <name>JobDetails</name>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>It runs now</source>
        <translation>Er läuft jetzt</translation>
    </message>
    <message>
        <source>It is done</source>
        <translation>Er ist fertig</translation>
    </message>
    <message>
        <source>It failed</source>
        <translation>Er misslang</translation>
    </message>
    <message>
        <source>How the work looks</source>
        <translation>Wie die Arbeit aussieht</translation>
    </message>
    <message>
        <source>What it takes goes out of the stock</source>
        <translation>Was er braucht, geht aus dem Lager</translation>
    </message>
    <message>
        <source>Its rests come into the stock</source>
        <translation>Seine Reste kommen ins Lager</translation>
    </message>
    <message>
        <source>What it took is lost</source>
        <translation>Was er brauchte, ist verloren</translation>
    </message>
    <message>
        <source>It did not run</source>
        <translation>Er lief nicht</translation>
    </message>
    <message>
        <source>What it took comes back into the stock</source>
        <translation>Was er brauchte, kommt ins Lager zurück</translation>
    </message>
    <message>
        <source>what really happened</source>
        <translation>was wirklich geschah</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Open it again</source>
        <translation>Wieder öffnen</translation>
    </message>
    <message>
        <source>As it was released, at this width</source>
        <translation>Wie er ausgegeben wurde, in dieser Breite</translation>
    </message>
    <message>
        <source>In other colours</source>
        <translation>In anderen Farben</translation>
    </message>
    <message>
        <source>The same, at its layers</source>
        <translation>Dasselbe, bei seinen Lagen</translation>
    </message>
    <message>
        <source>Approvals</source>
        <translation>Freigaben</translation>
    </message>
    <message>
        <source>Keep an approval…</source>
        <translation>Freigabe aufheben …</translation>
    </message>
    <message>
        <source>A file in which the customer says yes; a double click opens it</source>
        <translation>Eine Datei, in der die Kundschaft Ja sagt; ein Doppelklick öffnet sie</translation>
    </message>
    <message>
        <source>It took</source>
        <translation>Gedauert hat es</translation>
    </message>
    <message>
        <source>Again</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>Customer</source>
        <translation>Kundschaft</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Planned</source>
        <translation>Geplant</translation>
    </message>
    <message>
        <source>Real</source>
        <translation>Wirklich</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Film</source>
        <translation>Folie</translation>
    </message>
    <message>
        <source>Cost</source>
        <translation>Kosten</translation>
    </message>
    <message>
        <source>
and {0} more</source>
        <translation>
und {0} weitere</translation>
    </message>
</context>
<context>
    <name>JobKeeping</name>
    <message>
        <source>Not in stock: {0}.</source>
        <translation>Nicht im Lager: {0}.</translation>
    </message>
    <message>
        <source>the rest {0}</source>
        <translation>der Rest {0}</translation>
    </message>
    <message>
        <source>a material that was not said</source>
        <translation>einem nicht genannten Material</translation>
    </message>
    <message>
        <source>{0} mm of {1}</source>
        <translation>{0} mm von {1}</translation>
    </message>
    <message>
        <source>{0} sheets of {1}</source>
        <translation>{0} Bögen von {1}</translation>
    </message>
    <message>
        <source>Keep an approval</source>
        <translation>Freigabe aufheben</translation>
    </message>
    <message>
        <source>Approvals (*.pdf *.png *.jpg *.jpeg *.svg *.txt *.eml)</source>
        <translation>Freigaben (*.pdf *.png *.jpg *.jpeg *.svg *.txt *.eml)</translation>
    </message>
</context>
<context>
    <name>Joining</name>
    <message>
        <source>Looking where regions join</source>
        <translation>Suchen, wo Flächen zusammenhängen</translation>
    </message>
    <message>
        <source>The outside runs into an outline through a gap {0} wide.</source>
        <translation>Das Äußere läuft durch eine Lücke von {0} in eine Umrisslinie hinein.</translation>
    </message>
    <message>
        <source>The outside runs into outlines through {1} gaps, the narrowest {0} wide.</source>
        <translation>Das Äußere läuft durch {1} Lücken in Umrisslinien hinein, die schmalste ist {0} breit.</translation>
    </message>
    <message>
        <source>This region is joined through a place only {0} wide; both sides are one.</source>
        <translation>Diese Fläche hängt durch eine nur {0} breite Stelle zusammen; beide Seiten sind eine.</translation>
    </message>
    <message>
        <source>This region is joined through {1} thin places, the thinnest {0} wide; all is one.</source>
        <translation>Diese Fläche hängt durch {1} schmale Stellen zusammen, die schmalste ist {0} breit; alles ist eine.</translation>
    </message>
    <message>
        <source>Close it</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Close them</source>
        <translation>Alle schließen</translation>
    </message>
    <message>
        <source>closed places</source>
        <translation>geschlossene Stellen</translation>
    </message>
</context>
<context>
    <name>Keeping</name>
    <message>
        <source>Saved: {0}</source>
        <translation>Gespeichert: {0}</translation>
    </message>
    <message>
        <source>Sent: {0}</source>
        <translation>Gesendet: {0}</translation>
    </message>
    <message>
        <source>Save the project</source>
        <translation>Projekt speichern</translation>
    </message>
    <message>
        <source>Sketch Loom projects (*{0})</source>
        <translation>Sketch-Loom-Projekte (*{0})</translation>
    </message>
    <message>
        <source>Folder for the files</source>
        <translation>Ordner für die Dateien</translation>
    </message>
    <message>
        <source>PDF to approve</source>
        <translation>PDF zur Freigabe</translation>
    </message>
    <message>
        <source>Write the file</source>
        <translation>Datei schreiben</translation>
    </message>
    <message>
        <source>Nothing was copied.</source>
        <translation>Nichts wurde kopiert.</translation>
    </message>
    <message>
        <source>Copy all the same</source>
        <translation>Trotzdem kopieren</translation>
    </message>
    <message>
        <source>Copied as SVG.</source>
        <translation>Als SVG kopiert.</translation>
    </message>
    <message>
        <source>Copying</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>Copied as a picture, {0} × {1} pixels.</source>
        <translation>Als Bild kopiert, {0} × {1} Bildpunkte.</translation>
    </message>
    <message>
        <source>There is nothing to print yet: the exact result is not there.</source>
        <translation>Es gibt noch nichts zu drucken: Das genaue Ergebnis ist noch nicht da.</translation>
    </message>
    <message>
        <source>Print at true size</source>
        <translation>In wahrer Größe drucken</translation>
    </message>
    <message>
        <source>{0} mm if it is printed at true size. {1}, page {2} of {3}</source>
        <translation>{0} mm, wenn in wahrer Größe gedruckt. {1}, Seite {2} von {3}</translation>
    </message>
    <message>
        <source>1 page was sent to the printer.</source>
        <translation>1 Seite wurde an den Drucker geschickt.</translation>
    </message>
    <message>
        <source>{0} pages were sent to the printer.</source>
        <translation>{0} Seiten wurden an den Drucker geschickt.</translation>
    </message>
    <message>
        <source>Nothing was sent.</source>
        <translation>Nichts wurde gesendet.</translation>
    </message>
    <message>
        <source>Send all the same…</source>
        <translation>Trotzdem senden …</translation>
    </message>
    <message>
        <source>The machine&apos;s address: a device such as /dev/ttyUSB0, or tcp:HOST:PORT. Stay beside it while it cuts; its manual comes first.</source>
        <translation>Die Adresse der Maschine: ein Gerät wie /dev/ttyUSB0, oder tcp:HOST:PORT. Dabei bleiben, solange sie schneidet; ihre Anleitung geht vor.</translation>
    </message>
    <message>
        <source>Send {0}</source>
        <translation>{0} senden</translation>
    </message>
    <message>
        <source>It was not dragged out.</source>
        <translation>Es wurde nicht herausgezogen.</translation>
    </message>
    <message>
        <source>Let it be dragged all the same</source>
        <translation>Trotzdem herausziehen lassen</translation>
    </message>
    <message>
        <source>It can be dragged out now.</source>
        <translation>Jetzt kann es herausgezogen werden.</translation>
    </message>
    <message>
        <source>Nothing was written.</source>
        <translation>Nichts wurde geschrieben.</translation>
    </message>
    <message>
        <source>{0} findings say stop. The first: {1}</source>
        <translation>{0} Befunde sagen Halt. Der erste: {1}</translation>
    </message>
    <message>
        <source>Write all the same; the report says it</source>
        <translation>Trotzdem schreiben; der Bericht sagt es</translation>
    </message>
    <message>
        <source>“{0}” was changed elsewhere since it was opened here. Nothing was saved.</source>
        <translation>„{0}“ wurde anderswo geändert, seit es hier geöffnet wurde. Es wurde nichts gespeichert.</translation>
    </message>
    <message>
        <source>Keep both: save a copy…</source>
        <translation>Beide behalten: Kopie speichern …</translation>
    </message>
    <message>
        <source>Save over it</source>
        <translation>Darüber speichern</translation>
    </message>
    <message>
        <source>{0} is there already. Nothing was written.</source>
        <translation>{0} ist schon da. Es wurde nichts geschrieben.</translation>
    </message>
    <message>
        <source>{0} files are there already: {1}. Nothing was written.</source>
        <translation>{0} Dateien sind schon da: {1}. Es wurde nichts geschrieben.</translation>
    </message>
    <message>
        <source>Replace them</source>
        <translation>Ersetzen</translation>
    </message>
    <message>
        <source>Write into “{0}”</source>
        <translation>In „{0}“ schreiben</translation>
    </message>
    <message>
        <source>Works or pictures to lay on the same sheets</source>
        <translation>Arbeiten oder Bilder, die auf dieselben Bogen kommen</translation>
    </message>
    <message>
        <source>Pictures and projects ({0})</source>
        <translation>Bilder und Projekte ({0})</translation>
    </message>
</context>
<context>
    <name>KeptList</name>
    <message>
        <source>Drag to change the order in which they are done; the lowest is first</source>
        <translation>Ziehe, um die Reihenfolge zu ändern, in der sie geschehen; das Unterste zuerst</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>The chosen ones go</source>
        <translation>Die gewählten gehen</translation>
    </message>
    <message>
        <source>{0} on or off</source>
        <translation>{0} ein oder aus</translation>
    </message>
    <message>
        <source>order of {0}</source>
        <translation>Reihenfolge: {0}</translation>
    </message>
    <message>
        <source>{0} taken back</source>
        <translation>{0} zurückgenommen</translation>
    </message>
</context>
<context>
    <name>KeysTable</name>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Words of what is looked for</source>
        <translation>Wörter dessen, was gesucht wird</translation>
    </message>
    <message>
        <source>Actions and their keys</source>
        <translation>Aktionen und ihre Tasten</translation>
    </message>
    <message>
        <source>Action</source>
        <translation>Aktion</translation>
    </message>
    <message>
        <source>Another key for the chosen action</source>
        <translation>Eine andere Taste für die gewählte Aktion</translation>
    </message>
    <message>
        <source>Give it this key</source>
        <translation>Diese Taste geben</translation>
    </message>
    <message>
        <source>No key</source>
        <translation>Keine Taste</translation>
    </message>
    <message>
        <source>The action is then reached by menus and by the search</source>
        <translation>Die Aktion ist dann über Menüs und die Suche zu erreichen</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>The keys it came with</source>
        <translation>Die Tasten, mit denen sie kam</translation>
    </message>
    <message>
        <source>Choose an action, then press the key it is to have.</source>
        <translation>Wähl eine Aktion und drück dann die Taste, die sie haben soll.</translation>
    </message>
    <message>
        <source>Key</source>
        <translation>Taste</translation>
    </message>
    <message>
        <source>Press the key it is to have.</source>
        <translation>Drück die Taste, die sie haben soll.</translation>
    </message>
    <message>
        <source>{0} belongs to “{1}”; given here, it is taken from there.</source>
        <translation>{0} gehört zu „{1}“; hier vergeben, wird sie dort weggenommen.</translation>
    </message>
</context>
<context>
    <name>Ladder</name>
    <message>
        <source>Colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>Area lost</source>
        <translation>Verlust</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Cut saved</source>
        <translation>Gespart</translation>
    </message>
    <message>
        <source>Colour ladder</source>
        <translation>Farbleiter</translation>
    </message>
    <message>
        <source>What each step down loses and saves; every step saves one sheet. The flag marks the number proposed. Point at a step to see on the bench what it takes; click to take it.</source>
        <translation>Was jede Stufe hinab verliert und spart; jede Stufe spart einen Bogen. Die Fahne zeigt die vorgeschlagene Zahl. Zeige auf eine Stufe, um auf der Werkbank zu sehen, was sie nimmt; klicke, um sie zu nehmen.</translation>
    </message>
</context>
<context>
    <name>LayerChoosing</name>
    <message>
        <source>Click a layer; click again for one piece of it. Shift adds, and draws a box with a drag.</source>
        <translation>Klicke eine Ebene an; noch ein Klick nimmt ein Teil davon. Umschalt fügt hinzu und zieht einen Rahmen.</translation>
    </message>
</context>
<context>
    <name>LayerOrderDialog</name>
    <message>
        <source>Layers of one work</source>
        <translation>Ebenen einer Arbeit</translation>
    </message>
    <message>
        <source>Which picture lies on which?</source>
        <translation>Welches Bild liegt auf welchem?</translation>
    </message>
    <message>
        <source>The topmost is listed first. Drag a picture, or move it with the buttons. All share one frame, so they must be of one size in pixels.</source>
        <translation>Das oberste steht zuerst. Ziehe ein Bild oder bewege es mit den Knöpfen. Alle haben einen gemeinsamen Rahmen, also müssen sie in Pixeln gleich groß sein.</translation>
    </message>
    <message>
        <source>Pictures, topmost first</source>
        <translation>Bilder, das oberste zuerst</translation>
    </message>
    <message>
        <source>Higher</source>
        <translation>Höher</translation>
    </message>
    <message>
        <source>Lower</source>
        <translation>Tiefer</translation>
    </message>
    <message>
        <source>Turn all round</source>
        <translation>Alles umdrehen</translation>
    </message>
    <message>
        <source>The lowest becomes the topmost</source>
        <translation>Das unterste wird das oberste</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Lassen</translation>
    </message>
    <message>
        <source>Open as one work</source>
        <translation>Als eine Arbeit öffnen</translation>
    </message>
</context>
<context>
    <name>Layers</name>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>{0} to cut</source>
        <translation>{0} zu schneiden</translation>
    </message>
    <message>
        <source>narrowest {0}</source>
        <translation>schmalste {0}</translation>
    </message>
    <message>
        <source>{0} layers</source>
        <translation>{0} Ebenen</translation>
    </message>
    <message>
        <source>layer {0} “{1}”</source>
        <translation>Ebene {0} „{1}“</translation>
    </message>
    <message>
        <source>order</source>
        <translation>Reihenfolge</translation>
    </message>
    <message>
        <source>cut colour</source>
        <translation>Schnittfarbe</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>locked layer</source>
        <translation>Ebene gesperrt</translation>
    </message>
    <message>
        <source>hidden layer</source>
        <translation>Ebene verborgen</translation>
    </message>
    <message>
        <source>merged layers</source>
        <translation>Ebenen vereint</translation>
    </message>
    <message>
        <source>parted layers</source>
        <translation>Ebenen getrennt</translation>
    </message>
    <message>
        <source>group of a layer</source>
        <translation>Gruppe einer Ebene</translation>
    </message>
</context>
<context>
    <name>LayersPanel</name>
    <message>
        <source>Layers</source>
        <translation>Ebenen</translation>
    </message>
    <message>
        <source>Stacked</source>
        <translation>Gestapelt</translation>
    </message>
    <message>
        <source>Fitted</source>
        <translation>Eingepasst</translation>
    </message>
    <message>
        <source>Windowed</source>
        <translation>Gefenstert</translation>
    </message>
    <message>
        <source>Lean</source>
        <translation>Sparsam</translation>
    </message>
    <message>
        <source>Uppermost first; drag to reorder, F2 to name.</source>
        <translation>Oberste zuerst; ziehen ordnet um, F2 benennt.</translation>
    </message>
    <message>
        <source>The ways side by side</source>
        <translation>Die Arten nebeneinander</translation>
    </message>
    <message>
        <source>Which sheet lies on which, what each is cut from, and what every way of layering costs.</source>
        <translation>Welcher Bogen auf welchem liegt, woraus jeder geschnitten wird und was jede Art zu schichten kostet.</translation>
    </message>
    <message>
        <source>Click a layer on the bench, pull the stack apart, or see it from the side.</source>
        <translation>Klicke eine Ebene auf der Werkbank an, zieh den Stapel auseinander oder sieh ihn von der Seite.</translation>
    </message>
    <message>
        <source>One row a sheet, the uppermost first. The chosen one unfolds: name, colour, material, lock. Drag to reorder.</source>
        <translation>Eine Zeile je Bogen, der oberste zuerst. Die gewählte klappt auf: Name, Farbe, Material, Sperre. Ziehen ordnet um.</translation>
    </message>
    <message>
        <source>How sheets lie under each other: whole, fitted, with windows. The proposed way has its reason below.</source>
        <translation>Wie Bogen untereinander liegen: ganz, eingepasst, mit Fenstern. Unter der vorgeschlagenen Art steht ihr Grund.</translation>
    </message>
    <message>
        <source>The shirt, wall or card: what looks like it needs no sheet.</source>
        <translation>Hemd, Wand oder Karte: Was ebenso aussieht, braucht keinen Bogen.</translation>
    </message>
    <message>
        <source>Whether another order would save cutting, and how much.</source>
        <translation>Ob eine andere Reihenfolge Schneiden spart, und wie viel.</translation>
    </message>
    <message>
        <source>What the order is to save</source>
        <translation>Was die Reihenfolge sparen soll</translation>
    </message>
    <message>
        <source>Line art to sheets</source>
        <translation>Strichzeichnung auf Bogen</translation>
    </message>
    <message>
        <source>How it will look</source>
        <translation>Wie es aussehen wird</translation>
    </message>
    <message>
        <source>Pieces and how they are laid</source>
        <translation>Teile und wie sie gelegt werden</translation>
    </message>
    <message>
        <source>Base</source>
        <translation>Basis</translation>
    </message>
    <message>
        <source>Openings, or pieces on top</source>
        <translation>Öffnungen oder Teile obenauf</translation>
    </message>
    <message>
        <source>All layers</source>
        <translation>Alle Ebenen</translation>
    </message>
    <message>
        <source>How they are laid</source>
        <translation>Wie sie gelegt werden</translation>
    </message>
    <message>
        <source>Line art is gathered where a drawing is read as ink against paper: choose Tone under Trace.</source>
        <translation>Strichzeichnungen werden gesammelt, wo als Tinte auf Papier gelesen wird: unter Nachzeichnen Ton wählen.</translation>
    </message>
    <message>
        <source>Pieces to lay</source>
        <translation>Teile zu legen</translation>
    </message>
    <message>
        <source>Holes</source>
        <translation>Löcher</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Of it helper cuts</source>
        <translation>Davon Hilfsschnitte</translation>
    </message>
    <message>
        <source>Material</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>{0:.0f} cm²</source>
        <translation>{0:.0f} cm²</translation>
    </message>
    <message>
        <source>Narrowest place</source>
        <translation>Schmalste Stelle</translation>
    </message>
    <message>
        <source>none under 8 mm</source>
        <translation>keine unter 8 mm</translation>
    </message>
    <message>
        <source>order</source>
        <translation>Reihenfolge</translation>
    </message>
    <message>
        <source>thickness of the sheets</source>
        <translation>Dicke der Bogen</translation>
    </message>
    <message>
        <source>layer name</source>
        <translation>Name der Ebene</translation>
    </message>
</context>
<context>
    <name>LayingBox</name>
    <message>
        <source>Numbers on the bench</source>
        <translation>Nummern auf der Werkbank</translation>
    </message>
    <message>
        <source>In the order of laying: the base first, each sheet from top to bottom</source>
        <translation>In der Reihenfolge des Legens: die Basis zuerst, jeder Bogen von oben nach unten</translation>
    </message>
    <message>
        <source>Pieces in the order of laying</source>
        <translation>Teile in der Reihenfolge des Legens</translation>
    </message>
    <message>
        <source>Hold by a bridge</source>
        <translation>Mit Steg halten</translation>
    </message>
    <message>
        <source>A bridge in its colour to the nearest piece of its sheet: one piece less to lay</source>
        <translation>Ein Steg in seiner Farbe zum nächsten Teil seines Bogens: ein Teil weniger zu legen</translation>
    </message>
    <message>
        <source>From a sheet below</source>
        <translation>Von einem Bogen darunter</translation>
    </message>
    <message>
        <source>The sheets get a window there, through which a sheet below all others shows</source>
        <translation>Die Bogen bekommen dort ein Fenster, durch das ein Bogen unter allen anderen zu sehen ist</translation>
    </message>
    <message>
        <source>A piece about which nothing is done stays a piece, with its number in the laying plan (Release).</source>
        <translation>Ein Teil, mit dem nichts geschieht, bleibt ein Teil, mit seiner Nummer im Legeplan (Ausgabe).</translation>
    </message>
    <message>
        <source>nearly fits turned</source>
        <translation>passt beinahe gedreht</translation>
    </message>
    <message>
        <source>nearly fits turned over</source>
        <translation>passt beinahe umgedreht</translation>
    </message>
    <message>
        <source>{0}  {1}, {2} across</source>
        <translation>{0}  {1}, {2} groß</translation>
    </message>
    <message>
        <source>{0} · this way ▲</source>
        <translation>{0} · so herum ▲</translation>
    </message>
    <message>
        <source>{0}: {1}</source>
        <translation>{0}: {1}</translation>
    </message>
    <message>
        <source>1 piece to lay</source>
        <translation>1 Teil zu legen</translation>
    </message>
    <message>
        <source>{0} pieces to lay</source>
        <translation>{0} Teile zu legen</translation>
    </message>
    <message>
        <source>{0}, {1} beside the largest of their sheet.</source>
        <translation>{0}, {1} neben dem größten ihres Bogens.</translation>
    </message>
    <message>
        <source>1 nearly fits the wrong way round; it is marked.</source>
        <translation>1 passt beinahe verkehrt herum; es ist markiert.</translation>
    </message>
    <message>
        <source>{0} nearly fit the wrong way round; they are marked.</source>
        <translation>{0} passen beinahe verkehrt herum; sie sind markiert.</translation>
    </message>
</context>
<context>
    <name>LayingList</name>
    <message>
        <source>The order of laying</source>
        <translation>Die Folge des Legens</translation>
    </message>
    <message>
        <source>from sheet {0}</source>
        <translation>von Bogen {0}</translation>
    </message>
    <message>
        <source>{0} parts, the first to the left or above</source>
        <translation>{0} Teile, das erste links oder oben</translation>
    </message>
    <message>
        <source>press, as the film&apos;s sheet says; hot: mind your skin</source>
        <translation>pressen, wie das Blatt der Folie sagt; heiß: Vorsicht, Haut</translation>
    </message>
    <message>
        <source>then a spacer of {0} mm</source>
        <translation>dann ein Abstandhalter von {0} mm</translation>
    </message>
</context>
<context>
    <name>LayingOn</name>
    <message>
        <source>No region is chosen. Choose some under “Several regions”, or lay it on everywhere.</source>
        <translation>Keine Fläche ist gewählt. Wähle welche unter „Mehrere Flächen“ oder lege es überall auf.</translation>
    </message>
    <message>
        <source>Nothing of it lies on the chosen regions.</source>
        <translation>Nichts davon liegt auf den gewählten Flächen.</translation>
    </message>
    <message>
        <source>All of it lies on the chosen regions.</source>
        <translation>Alles davon liegt auf den gewählten Flächen.</translation>
    </message>
    <message>
        <source>laid on {0}</source>
        <translation>{0} aufgelegt</translation>
    </message>
    <message>
        <source>path</source>
        <translation>Pfad</translation>
    </message>
    <message>
        <source>Draw round the area, or click its corners; Enter closes it. Esc leaves it.</source>
        <translation>Umfahren Sie die Fläche, oder klicken Sie ihre Ecken; Eingabe schließt sie. Esc lässt es.</translation>
    </message>
    <message>
        <source>area</source>
        <translation>Fläche</translation>
    </message>
    <message>
        <source>Click the region whose outline becomes a shape. Esc leaves it.</source>
        <translation>Klicke die Fläche an, deren Umriss eine Form wird. Esc verlässt es.</translation>
    </message>
    <message>
        <source>Nothing is drawn along it; it has the width given.</source>
        <translation>Dort ist nichts gezeichnet; sie hat die angegebene Breite.</translation>
    </message>
    <message>
        <source>bow</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>Drag along the bow, or click one end, the other, then a place it passes through; the next may follow. Esc puts it down.</source>
        <translation>Ziehe am Bogen entlang, oder klicke ein Ende, das andere, dann eine Stelle, durch die er geht; der nächste kann folgen. Esc legt es weg.</translation>
    </message>
    <message>
        <source>Drag a line, or click from point to point, Enter ends it; the next may follow. Esc puts it down.</source>
        <translation>Eine Linie ziehen oder von Punkt zu Punkt klicken, Enter beendet sie; die nächste kann folgen. Esc legt ab.</translation>
    </message>
    <message>
        <source>Nothing is left at that distance.</source>
        <translation>In diesem Abstand bleibt nichts übrig.</translation>
    </message>
    <message>
        <source>groove</source>
        <translation>Rille</translation>
    </message>
    <message>
        <source>outline</source>
        <translation>Umriss</translation>
    </message>
    <message>
        <source>shape of a region</source>
        <translation>Form einer Fläche</translation>
    </message>
    <message>
        <source>Draw the line the words stand on, from left to right; Enter ends it. Esc puts it down.</source>
        <translation>Zeichne die Linie, auf der die Wörter stehen, von links nach rechts; Enter beendet sie. Esc legt sie weg.</translation>
    </message>
    <message>
        <source>Click where the middle of the words is to be. Esc leaves it.</source>
        <translation>Klicke dorthin, wo die Mitte der Wörter sein soll. Esc verlässt es.</translation>
    </message>
    <message>
        <source>The font {0} does not have {1}; left out.</source>
        <translation>Die Schrift {0} hat {1} nicht; weggelassen.</translation>
    </message>
    <message>
        <source>“{0}”</source>
        <translation>„{0}“</translation>
    </message>
    <message>
        <source>laid on words</source>
        <translation>Wörter aufgelegt</translation>
    </message>
    <message>
        <source>Colour of what is laid on</source>
        <translation>Farbe dessen, was aufgelegt wird</translation>
    </message>
</context>
<context>
    <name>Leaving</name>
    <message>
        <source>Writing</source>
        <translation>Wird geschrieben</translation>
    </message>
    <message>
        <source>Making the files to look at</source>
        <translation>Dateien zum Ansehen werden gemacht</translation>
    </message>
    <message>
        <source>Sending {0}</source>
        <translation>{0} wird gesendet</translation>
    </message>
    <message>
        <source>Stopped; {0} % were sent, and what they say is cut. Stop the machine, too.</source>
        <translation>Angehalten; {0} % sind gesendet, und was sie sagen, ist geschnitten. Auch die Maschine anhalten.</translation>
    </message>
    <message>
        <source>Looking for the page</source>
        <translation>Die Seite wird gesucht</translation>
    </message>
    <message>
        <source>Revision</source>
        <translation>Fassung</translation>
    </message>
    <message>
        <source>Revision {0}</source>
        <translation>Fassung {0}</translation>
    </message>
    <message>
        <source>revision kept</source>
        <translation>Fassung behalten</translation>
    </message>
    <message>
        <source>The work is still being traced; write again when it is done.</source>
        <translation>Die Arbeit wird noch nachgezeichnet; danach noch einmal schreiben.</translation>
    </message>
    <message>
        <source>Tracing was stopped, so there is nothing exact to write. Trace it again (F5), then write.</source>
        <translation>Das Nachzeichnen wurde angehalten, es gibt also nichts Genaues zu schreiben. Noch einmal nachzeichnen (F5), dann schreiben.</translation>
    </message>
    <message>
        <source>Tracing the other works</source>
        <translation>Die anderen Arbeiten werden nachgezeichnet</translation>
    </message>
    <message>
        <source>Tracing the alternatives</source>
        <translation>Die Varianten werden nachgezeichnet</translation>
    </message>
    <message>
        <source>Stopped. Nothing was written.</source>
        <translation>Angehalten. Nichts wurde geschrieben.</translation>
    </message>
</context>
<context>
    <name>LengthEdit</name>
    <message>
        <source>Between {0} and {1}.</source>
        <translation>Zwischen {0} und {1}.</translation>
    </message>
    <message>
        <source>0 for none, or between {0} and {1}.</source>
        <translation>0 für keine, oder zwischen {0} und {1}.</translation>
    </message>
</context>
<context>
    <name>LevelTool</name>
    <message>
        <source>Draw a line along something that should be level or upright. Esc leaves it.</source>
        <translation>Ziehe eine Linie an etwas entlang, das waagerecht oder senkrecht sein soll. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>LineArtBox</name>
    <message>
        <source>What gathers regions into sheets</source>
        <translation>Was Flächen auf Bogen sammelt</translation>
    </message>
    <message>
        <source>Neighbours differ</source>
        <translation>Nachbarn verschieden</translation>
    </message>
    <message>
        <source>More lines around: deeper</source>
        <translation>Mehr Linien darum: tiefer</translation>
    </message>
    <message>
        <source>Larger: deeper</source>
        <translation>Größer: tiefer</translation>
    </message>
    <message>
        <source>Farther in: deeper</source>
        <translation>Weiter innen: tiefer</translation>
    </message>
    <message>
        <source>Like colours together</source>
        <translation>Gleiche Farben zusammen</translation>
    </message>
    <message>
        <source>Numbers of sheets below the frame; click one to gather into so many</source>
        <translation>Zahl der Bogen unter dem Rahmen; klicke eine an, um auf so viele zu sammeln</translation>
    </message>
    <message>
        <source>Sheets below the frame, the deepest first</source>
        <translation>Bogen unter dem Rahmen, der tiefste zuerst</translation>
    </message>
    <message>
        <source>Choose the sheet that clicked regions go to</source>
        <translation>Wähle den Bogen, auf den angeklickte Flächen kommen</translation>
    </message>
    <message>
        <source>Paint the depth</source>
        <translation>Tiefe malen</translation>
    </message>
    <message>
        <source>Click or sweep over regions on the bench: they go to the sheet chosen below</source>
        <translation>Klicke Flächen auf der Werkbank oder fahre darüber: sie kommen auf den unten gewählten Bogen</translation>
    </message>
    <message>
        <source>What a click paints</source>
        <translation>Was ein Klick bemalt</translation>
    </message>
    <message>
        <source>A click paints one cell</source>
        <translation>Ein Klick bemalt eine Zelle</translation>
    </message>
    <message>
        <source>… its whole motif</source>
        <translation>… ihr ganzes Motiv</translation>
    </message>
    <message>
        <source>… all around its centre</source>
        <translation>… alle um ihre Mitte</translation>
    </message>
    <message>
        <source>… around its centre, two sheets by turns</source>
        <translation>… um ihre Mitte, zwei Bogen im Wechsel</translation>
    </message>
    <message>
        <source>… around its centre, three sheets by turns</source>
        <translation>… um ihre Mitte, drei Bogen im Wechsel</translation>
    </message>
    <message>
        <source>Cells alike around one centre, as petals are; by turns the sheets follow the chosen one, upwards and round again</source>
        <translation>Zellen, die um eine Mitte gleich sind, wie Blütenblätter; im Wechsel folgen die Bogen dem gewählten, nach oben und wieder von vorn</translation>
    </message>
    <message>
        <source>The frame too</source>
        <translation>Auch den Rahmen</translation>
    </message>
    <message>
        <source>The ink stays the frame on top while this is off, wherever a sweep goes</source>
        <translation>Die Tinte bleibt der Rahmen obenauf, solange dies aus ist, wohin auch gestrichen wird</translation>
    </message>
    <message>
        <source>The ink becomes a frame on top; what it encloses goes to sheets below. What is covered is not cut.</source>
        <translation>Die Tinte wird ein Rahmen obenauf; was sie umschließt, kommt auf Bogen darunter. Was bedeckt ist, wird nicht geschnitten.</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Pieces to lay, the frame among them</source>
        <translation>Teile zu legen, der Rahmen darunter</translation>
    </message>
    <message>
        <source>Cut m</source>
        <translation>Schnitt m</translation>
    </message>
    <message>
        <source>Cut ft</source>
        <translation>Schnitt ft</translation>
    </message>
    <message>
        <source>As layered now</source>
        <translation>Wie jetzt geschichtet</translation>
    </message>
    <message>
        <source>Saved m</source>
        <translation>Gespart m</translation>
    </message>
    <message>
        <source>Saved ft</source>
        <translation>Gespart ft</translation>
    </message>
    <message>
        <source>Less than if every region were cut by itself</source>
        <translation>Weniger, als wenn jede Fläche für sich geschnitten würde</translation>
    </message>
    <message>
        <source>Alike</source>
        <translation>Gleich</translation>
    </message>
    <message>
        <source>Neighbours across a line on the same sheet</source>
        <translation>Nachbarn über eine Linie hinweg auf demselben Bogen</translation>
    </message>
    <message>
        <source>The picture has one colour within its lines. Give regions colours in Clean first, or take another rule.</source>
        <translation>Das Bild hat innerhalb seiner Linien nur eine Farbe. Gib Flächen zuerst unter Säubern Farben, oder nimm eine andere Regel.</translation>
    </message>
    <message>
        <source>Its lines enclose too little for two sheets.</source>
        <translation>Ihre Linien schließen zu wenig für zwei Bogen ein.</translation>
    </message>
</context>
<context>
    <name>LineBox</name>
    <message>
        <source>Pen lines</source>
        <translation>Stiftlinien</translation>
    </message>
    <message>
        <source>The middle of each stroke, open, for a pen</source>
        <translation>Die Mitte jedes Strichs, offen, für einen Stift</translation>
    </message>
    <message>
        <source>Shapes to cut</source>
        <translation>Formen zum Schneiden</translation>
    </message>
    <message>
        <source>Each stroke as a shape of one width</source>
        <translation>Jeder Strich als Form einer Breite</translation>
    </message>
    <message>
        <source>What strokes become</source>
        <translation>Was aus Strichen wird</translation>
    </message>
    <message>
        <source>what strokes become</source>
        <translation>was aus Strichen wird</translation>
    </message>
    <message>
        <source>Strokes are given to the pen whose width is nearest theirs. Point at a stroke on the bench for its width.</source>
        <translation>Striche bekommen den Stift, dessen Breite ihrer am nächsten ist. Zeige auf der Werkbank auf einen Strich, um seine Breite zu sehen.</translation>
    </message>
    <message>
        <source>pens</source>
        <translation>Stifte</translation>
    </message>
    <message>
        <source>Width of the strokes</source>
        <translation>Breite der Striche</translation>
    </message>
    <message>
        <source>width of the strokes</source>
        <translation>Breite der Striche</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Remove strokes…</source>
        <translation>Striche entfernen …</translation>
    </message>
    <message>
        <source>Click strokes on the bench to take them out</source>
        <translation>Klicke Striche auf der Werkbank an, um sie herauszunehmen</translation>
    </message>
    <message>
        <source>Bring all removed strokes back</source>
        <translation>Alle entfernten Striche zurückholen</translation>
    </message>
    <message>
        <source>removed strokes</source>
        <translation>entfernte Striche</translation>
    </message>
    <message>
        <source>{0}, {1} to {2} wide, mostly {3}; {4} in all.</source>
        <translation>{0}, {1} bis {2} breit, meist {3}; zusammen {4}.</translation>
    </message>
    <message>
        <source>1 stroke</source>
        <translation>1 Strich</translation>
    </message>
    <message>
        <source>{0} strokes</source>
        <translation>{0} Striche</translation>
    </message>
    <message>
        <source>Bring 1 back</source>
        <translation>1 zurückholen</translation>
    </message>
    <message>
        <source>Bring {0} back</source>
        <translation>{0} zurückholen</translation>
    </message>
    <message>
        <source>removed stroke</source>
        <translation>Strich entfernt</translation>
    </message>
</context>
<context>
    <name>LinesBox</name>
    <message>
        <source>Choose bridges on the bench</source>
        <translation>Stege auf der Werkbank wählen</translation>
    </message>
    <message>
        <source>Each gap is marked; a click closes it</source>
        <translation>Jede Lücke ist markiert; ein Klick schließt sie</translation>
    </message>
    <message>
        <source>Close all</source>
        <translation>Alle schließen</translation>
    </message>
    <message>
        <source>A bridge over every gap that was found</source>
        <translation>Ein Steg über jede gefundene Lücke</translation>
    </message>
    <message>
        <source>Draw a bridge…</source>
        <translation>Steg zeichnen …</translation>
    </message>
    <message>
        <source>From one stroke to another: it begins and ends at their ends, in their width and curve</source>
        <translation>Von einem Strich zum anderen: er beginnt und endet an ihren Enden, in ihrer Breite und Biegung</translation>
    </message>
    <message>
        <source>Add ink…</source>
        <translation>Tinte hinzu …</translation>
    </message>
    <message>
        <source>Paint a line: a bridge of your own, a missing piece of outline</source>
        <translation>Male eine Linie: einen eigenen Steg, ein fehlendes Stück Umriss</translation>
    </message>
    <message>
        <source>Take ink away…</source>
        <translation>Tinte weg …</translation>
    </message>
    <message>
        <source>Paint in the colour of the paper</source>
        <translation>In der Farbe des Papiers malen</translation>
    </message>
    <message>
        <source>Width of the brush</source>
        <translation>Breite des Pinsels</translation>
    </message>
    <message>
        <source>Bridges and painted lines, the latest first</source>
        <translation>Stege und gemalte Linien, die letzte zuerst</translation>
    </message>
    <message>
        <source>painted line</source>
        <translation>gemalte Linie</translation>
    </message>
    <message>
        <source>Brush</source>
        <translation>Pinsel</translation>
    </message>
    <message>
        <source>Nothing here is drawn in dark outlines, so no gaps are looked for.</source>
        <translation>Hier ist nichts in dunklen Umrissen gezeichnet, also wird nach keinen Lücken gesucht.</translation>
    </message>
    <message>
        <source>No gap in an outline was found.</source>
        <translation>Keine Lücke in einem Umriss gefunden.</translation>
    </message>
    <message>
        <source>1 gap in an outline, {0} wide.</source>
        <translation>1 Lücke in einem Umriss, {0} breit.</translation>
    </message>
    <message>
        <source>{0} gaps in outlines, {1} to {2} wide.</source>
        <translation>{0} Lücken in Umrissen, {1} bis {2} breit.</translation>
    </message>
    <message>
        <source>Through one of them the outside runs in.</source>
        <translation>Durch eine davon läuft das Äußere hinein.</translation>
    </message>
    <message>
        <source>Through it the outside runs in.</source>
        <translation>Durch sie läuft das Äußere hinein.</translation>
    </message>
    <message>
        <source>Through {0} of them the outside runs in.</source>
        <translation>Durch {0} davon läuft das Äußere hinein.</translation>
    </message>
    <message>
        <source>Looking for gaps in outlines…</source>
        <translation>Suche nach Lücken in Umrissen …</translation>
    </message>
    <message>
        <source>{0} line, {1} wide</source>
        <translation>Linie {0}, {1} breit</translation>
    </message>
    <message>
        <source>bridge</source>
        <translation>Steg</translation>
    </message>
</context>
<context>
    <name>LogbookPage</name>
    <message>
        <source>Logbook</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>One more</source>
        <translation>Noch eines</translation>
    </message>
    <message>
        <source>Keep this tool</source>
        <translation>Werkzeug aufheben</translation>
    </message>
    <message>
        <source>Jobs</source>
        <translation>Aufträge</translation>
    </message>
    <message>
        <source>What was released, and how long it really took</source>
        <translation>Was ausgegeben wurde, und wie lange es wirklich dauerte</translation>
    </message>
    <message>
        <source>Test cuts</source>
        <translation>Probeschnitte</translation>
    </message>
    <message>
        <source>What was tried, and what to try next</source>
        <translation>Was versucht wurde, und was als Nächstes</translation>
    </message>
    <message>
        <source>Stock</source>
        <translation>Vorrat</translation>
    </message>
    <message>
        <source>Rolls, sheets and offcuts that are there</source>
        <translation>Rollen, Bogen und Reste, die da sind</translation>
    </message>
    <message>
        <source>Materials</source>
        <translation>Materialien</translation>
    </message>
    <message>
        <source>What was bought, by batch and price</source>
        <translation>Was gekauft wurde, nach Charge und Preis</translation>
    </message>
    <message>
        <source>Machines</source>
        <translation>Maschinen</translation>
    </message>
    <message>
        <source>What each did, and since when it is there</source>
        <translation>Was jede getan hat, und seit wann sie da ist</translation>
    </message>
    <message>
        <source>Tools</source>
        <translation>Werkzeuge</translation>
    </message>
    <message>
        <source>Blades and pens, and since when they are new</source>
        <translation>Klingen und Stifte, und seit wann sie neu sind</translation>
    </message>
    <message>
        <source>What is shown</source>
        <translation>Was gezeigt wird</translation>
    </message>
    <message>
        <source>Trainer</source>
        <translation>Übungen</translation>
    </message>
    <message>
        <source>Small exercises on the demo works</source>
        <translation>Kleine Übungen an den Vorführarbeiten</translation>
    </message>
    <message>
        <source>List</source>
        <translation>Liste</translation>
    </message>
    <message>
        <source>One below the other, the newest first</source>
        <translation>Untereinander, das Neueste zuerst</translation>
    </message>
    <message>
        <source>Calendar</source>
        <translation>Kalender</translation>
    </message>
    <message>
        <source>Jobs by their days</source>
        <translation>Aufträge nach Tagen</translation>
    </message>
    <message>
        <source>Plot</source>
        <translation>Diagramm</translation>
    </message>
    <message>
        <source>Figures against each other</source>
        <translation>Zahlen gegeneinander</translation>
    </message>
    <message>
        <source>How it is shown</source>
        <translation>Wie es gezeigt wird</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Suchen</translation>
    </message>
    <message>
        <source>Search the logbook</source>
        <translation>Im Logbuch suchen</translation>
    </message>
    <message>
        <source>Save what can be read…</source>
        <translation>Lesbares retten …</translation>
    </message>
    <message>
        <source>Take in a table…</source>
        <translation>Tabelle übernehmen …</translation>
    </message>
    <message>
        <source>CSV, its columns named in its first line; or JSON, a whole logbook</source>
        <translation>CSV, die Spalten in der ersten Zeile benannt; oder JSON, ein ganzes Logbuch</translation>
    </message>
    <message>
        <source>Write it out…</source>
        <translation>Herausschreiben …</translation>
    </message>
    <message>
        <source>This table as CSV, or the whole logbook as JSON</source>
        <translation>Diese Tabelle als CSV oder das ganze Logbuch als JSON</translation>
    </message>
    <message>
        <source>Delete it for good</source>
        <translation>Endgültig löschen</translation>
    </message>
    <message>
        <source>The chosen entry; it cannot be undone</source>
        <translation>Den gewählten Eintrag; das lässt sich nicht zurücknehmen</translation>
    </message>
    <message>
        <source>What can be done to the chosen entry</source>
        <translation>Was mit dem gewählten Eintrag getan werden kann</translation>
    </message>
    <message>
        <source>Nothing found.</source>
        <translation>Nichts gefunden.</translation>
    </message>
    <message>
        <source>No job yet: every release becomes one.</source>
        <translation>Noch kein Auftrag: Jede Ausgabe wird einer.</translation>
    </message>
    <message>
        <source>No test cut yet: name a material beside, cut a star, say what it is.</source>
        <translation>Noch kein Probeschnitt: daneben ein Material nennen, einen Stern schneiden, sagen, wie er ist.</translation>
    </message>
    <message>
        <source>Nothing in stock yet.</source>
        <translation>Noch nichts im Vorrat.</translation>
    </message>
    <message>
        <source>No material yet: what was bought, with its batch and price.</source>
        <translation>Noch kein Material: was gekauft wurde, mit Charge und Preis.</translation>
    </message>
    <message>
        <source>No machine yet: each comes with its first job.</source>
        <translation>Noch keine Maschine: Jede kommt mit ihrem ersten Auftrag.</translation>
    </message>
    <message>
        <source>No tool yet: a blade is soon blunt, so its first day counts.</source>
        <translation>Noch kein Werkzeug: eine Klinge ist bald stumpf, darum zählt ihr erster Tag.</translation>
    </message>
    <message>
        <source>{0} of {1}; a search finds the others.</source>
        <translation>{0} von {1}; eine Suche findet die anderen.</translation>
    </message>
    <message>
        <source>1 entry</source>
        <translation>1 Eintrag</translation>
    </message>
    <message>
        <source>{0} entries</source>
        <translation>{0} Einträge</translation>
    </message>
</context>
<context>
    <name>Logging</name>
    <message>
        <source>Delete entry {0} for good? It cannot be undone.</source>
        <translation>Eintrag {0} endgültig löschen? Das lässt sich nicht zurücknehmen.</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Lassen</translation>
    </message>
    <message>
        <source>This table (*.csv);;The whole logbook (*.json)</source>
        <translation>Diese Tabelle (*.csv);;Das ganze Logbuch (*.json)</translation>
    </message>
    <message>
        <source>Take in a table</source>
        <translation>Tabelle übernehmen</translation>
    </message>
    <message>
        <source>Entries for this table (*.csv);;A whole logbook (*.json)</source>
        <translation>Einträge für diese Tabelle (*.csv);;Ein ganzes Logbuch (*.json)</translation>
    </message>
    <message>
        <source>Taken in: {0} entries.</source>
        <translation>Übernommen: {0} Einträge.</translation>
    </message>
    <message>
        <source>Nothing was taken in: {0}</source>
        <translation>Nichts wurde übernommen: {0}</translation>
    </message>
    <message>
        <source>Save what can be read</source>
        <translation>Lesbares retten</translation>
    </message>
    <message>
        <source>Logbooks (*.db)</source>
        <translation>Logbücher (*.db)</translation>
    </message>
    <message>
        <source>Saved: {0} entries; {1} places could not be read. To go on with it, close the program and put {2} in the place of {3}.</source>
        <translation>Gerettet: {0} Einträge; {1} Stellen waren nicht lesbar. Um damit weiterzuarbeiten, schließen Sie das Programm und legen {2} an die Stelle von {3}.</translation>
    </message>
    <message>
        <source>Written: {0}</source>
        <translation>Geschrieben: {0}</translation>
    </message>
    <message>
        <source>Write the table</source>
        <translation>Die Tabelle schreiben</translation>
    </message>
</context>
<context>
    <name>LookBox</name>
    <message>
        <source>In the look of their material</source>
        <translation>Im Aussehen ihres Materials</translation>
    </message>
    <message>
        <source>Shadows</source>
        <translation>Schatten</translation>
    </message>
    <message>
        <source>Each sheet&apos;s on those below, by the thickness of the sheets and the spacers between</source>
        <translation>Jeder Bogen auf die darunter, nach der Dicke der Bogen und den Abstandhaltern dazwischen</translation>
    </message>
    <message>
        <source>Light from</source>
        <translation>Licht von</translation>
    </message>
    <message>
        <source>Light stands</source>
        <translation>Licht steht</translation>
    </message>
    <message>
        <source>above</source>
        <translation>oben</translation>
    </message>
    <message>
        <source>upper right</source>
        <translation>oben rechts</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>lower right</source>
        <translation>unten rechts</translation>
    </message>
    <message>
        <source>below</source>
        <translation>unten</translation>
    </message>
    <message>
        <source>lower left</source>
        <translation>unten links</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>upper left</source>
        <translation>oben links</translation>
    </message>
    <message>
        <source>high</source>
        <translation>hoch</translation>
    </message>
    <message>
        <source>low</source>
        <translation>tief</translation>
    </message>
    <message>
        <source>halfway</source>
        <translation>halbhoch</translation>
    </message>
</context>
<context>
    <name>MachineBox</name>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>Carrier</source>
        <translation>Träger</translation>
    </message>
    <message>
        <source>Size of the carrier</source>
        <translation>Größe des Trägers</translation>
    </message>
    <message>
        <source>300 × 400 mm</source>
        <translation>300 × 400 mm</translation>
    </message>
    <message>
        <source>Machines…</source>
        <translation>Maschinen…</translation>
    </message>
    <message>
        <source>What your machines can cut, how fast they move, and their carriers</source>
        <translation>Was deine Maschinen schneiden, wie schnell sie fahren, und ihre Träger</translation>
    </message>
    <message>
        <source>The smallest carrier that does</source>
        <translation>Der kleinste Träger, der genügt</translation>
    </message>
    <message>
        <source>cuts {0} across</source>
        <translation>schneidet {0} breit</translation>
    </message>
    <message>
        <source>cuts {0} × {1}</source>
        <translation>schneidet {0} × {1}</translation>
    </message>
    <message>
        <source>A size of my own</source>
        <translation>Eine eigene Größe</translation>
    </message>
    <message>
        <source>The machine&apos;s manual comes first.</source>
        <translation>Das Handbuch der Maschine geht vor.</translation>
    </message>
    <message>
        <source>machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>carrier</source>
        <translation>Träger</translation>
    </message>
    <message>
        <source>Type a size such as 300 × 400 mm or 12 × 20 in.</source>
        <translation>Gib eine Größe ein wie 300 × 400 mm oder 12 × 20 in.</translation>
    </message>
</context>
<context>
    <name>MachinesTable</name>
    <message>
        <source>Machines</source>
        <translation>Maschinen</translation>
    </message>
    <message>
        <source>Sizes in mm, speeds in mm/s, accelerations in mm/s². Speeds and times are from memory to begin with: the machine&apos;s manual comes first. Works keep the machine they were planned for.</source>
        <translation>Größen in mm, Geschwindigkeiten in mm/s, Beschleunigungen in mm/s². Geschwindigkeiten und Zeiten sind zunächst aus dem Gedächtnis: Das Handbuch der Maschine geht vor. Arbeiten behalten die Maschine, für die sie geplant wurden.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Cuts at</source>
        <translation>Schneidet mit</translation>
    </message>
    <message>
        <source>Travels at</source>
        <translation>Fährt mit</translation>
    </message>
    <message>
        <source>Speeds up
by</source>
        <translation>Beschleu-
nigt mit</translation>
    </message>
    <message>
        <source>Corner
tolerance</source>
        <translation>Eck-
toleranz</translation>
    </message>
    <message>
        <source>Lift and
lower, s</source>
        <translation>Heben,
Senken, s</translation>
    </message>
    <message>
        <source>Loading, s</source>
        <translation>Einlegen, s</translation>
    </message>
    <message>
        <source>Blade
offset</source>
        <translation>Messer-
versatz</translation>
    </message>
    <message>
        <source>Overcut</source>
        <translation>Überschnitt</translation>
    </message>
    <message>
        <source>Passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>Force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>Tools it takes</source>
        <translation>Werkzeuge</translation>
    </message>
    <message>
        <source>Caution</source>
        <translation>Vorsicht</translation>
    </message>
    <message>
        <source>Carriers of the chosen machine</source>
        <translation>Träger der gewählten Maschine</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Height, 0 for
a roll</source>
        <translation>Höhe, 0 für
eine Rolle</translation>
    </message>
    <message>
        <source>Not cut at
the sides</source>
        <translation>Nicht geschnit-
ten: Seiten</translation>
    </message>
    <message>
        <source>Not cut at
the ends</source>
        <translation>Nicht geschnit-
ten: Enden</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>The table is used from now on</source>
        <translation>Die Tabelle gilt von jetzt an</translation>
    </message>
    <message>
        <source>Add a machine</source>
        <translation>Maschine dazu</translation>
    </message>
    <message>
        <source>A copy of the chosen one, or of the first</source>
        <translation>Eine Kopie des gewählten oder des ersten</translation>
    </message>
    <message>
        <source>Take it out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The chosen machine</source>
        <translation>Die gewählte Maschine</translation>
    </message>
    <message>
        <source>Add a carrier</source>
        <translation>Träger dazu</translation>
    </message>
    <message>
        <source>To the chosen machine</source>
        <translation>Zur gewählten Maschine</translation>
    </message>
    <message>
        <source>Take the carrier out</source>
        <translation>Träger herausnehmen</translation>
    </message>
    <message>
        <source>The chosen carrier</source>
        <translation>Den gewählten Träger</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>The plain kinds that come with the program</source>
        <translation>Die schlichten Arten, die mit dem Programm kommen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Changes that were not kept are left</source>
        <translation>Änderungen, die nicht behalten wurden, verfallen</translation>
    </message>
    <message>
        <source>Kind of {0}</source>
        <translation>Art von {0}</translation>
    </message>
    <message>
        <source>blade</source>
        <translation>Klinge</translation>
    </message>
    <message>
        <source>laser</source>
        <translation>Laser</translation>
    </message>
    <message>
        <source>router</source>
        <translation>Fräse</translation>
    </message>
    <message>
        <source>pen</source>
        <translation>Stift</translation>
    </message>
    <message>
        <source>sizes are numbers, in mm.</source>
        <translation>Größen sind Zahlen, in mm.</translation>
    </message>
    <message>
        <source>Carrier {0}: {1}</source>
        <translation>Träger {0}: {1}</translation>
    </message>
    <message>
        <source>{0}, another</source>
        <translation>{0}, noch eines</translation>
    </message>
    <message>
        <source>300 × 400 mm</source>
        <translation>300 × 400 mm</translation>
    </message>
    <message>
        <source>Row {0}: {1}</source>
        <translation>Zeile {0}: {1}</translation>
    </message>
    <message>
        <source>these are numbers.</source>
        <translation>das sind Zahlen.</translation>
    </message>
</context>
<context>
    <name>Manners</name>
    <message>
        <source>No more than {0} letters fit here; what is beyond was not taken.</source>
        <translation>Hier passen höchstens {0} Buchstaben; was darüber ist, wurde nicht übernommen.</translation>
    </message>
</context>
<context>
    <name>MaterialsTable</name>
    <message>
        <source>Materials</source>
        <translation>Materialien</translation>
    </message>
    <message>
        <source>Sizes in mm are common practice to begin with, not promises: a test cut on the very sheet decides. Works keep the figures they were made with.</source>
        <translation>Größen in mm sind übliche Praxis zum Anfangen, keine Versprechen: ein Probeschnitt auf genau diesem Bogen entscheidet. Arbeiten behalten die Werte, mit denen sie gemacht wurden.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Thick</source>
        <translation>Dick</translation>
    </message>
    <message>
        <source>Smallest
detail</source>
        <translation>Kleinstes
Detail</translation>
    </message>
    <message>
        <source>Smallest
gap</source>
        <translation>Kleinste
Lücke</translation>
    </message>
    <message>
        <source>Shrinks
under heat</source>
        <translation>Schrumpft
unter Hitze</translation>
    </message>
    <message>
        <source>Lies on
its like</source>
        <translation>Liegt auf
seinesgleichen</translation>
    </message>
    <message>
        <source>Blade</source>
        <translation>Klinge</translation>
    </message>
    <message>
        <source>Laser</source>
        <translation>Laser</translation>
    </message>
    <message>
        <source>Router</source>
        <translation>Fräse</translation>
    </message>
    <message>
        <source>Caution shown beside it</source>
        <translation>Hinweis, der daneben steht</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>The table is used from now on, in every work</source>
        <translation>Die Tabelle gilt von jetzt an, in jeder Arbeit</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzu</translation>
    </message>
    <message>
        <source>A copy of the chosen one, or of the first</source>
        <translation>Eine Kopie des gewählten oder des ersten</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The chosen ones</source>
        <translation>Die gewählten</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>The plain kinds that come with the program</source>
        <translation>Die schlichten Arten, die mit dem Programm kommen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Changes that were not kept are left</source>
        <translation>Änderungen, die nicht behalten wurden, verfallen</translation>
    </message>
    <message>
        <source>Kind of {0}</source>
        <translation>Art von {0}</translation>
    </message>
    <message>
        <source>{0}, another</source>
        <translation>{0}, noch eines</translation>
    </message>
    <message>
        <source>Row {0}: {1}</source>
        <translation>Zeile {0}: {1}</translation>
    </message>
    <message>
        <source>sizes are numbers, in mm.</source>
        <translation>Größen sind Zahlen, in mm.</translation>
    </message>
</context>
<context>
    <name>Menus</name>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
</context>
<context>
    <name>MirrorBox</name>
    <message>
        <source>Find the line</source>
        <translation>Linie finden</translation>
    </message>
    <message>
        <source>The line about which the picture is most nearly its own mirror image</source>
        <translation>Die Linie, an der das Bild am ehesten sein eigenes Spiegelbild ist</translation>
    </message>
    <message>
        <source>Draw the line…</source>
        <translation>Linie ziehen …</translation>
    </message>
    <message>
        <source>Two clicks: from one end of the line to the other</source>
        <translation>Zwei Klicks: von einem Ende der Linie zum anderen</translation>
    </message>
    <message>
        <source>Left stays</source>
        <translation>Links bleibt</translation>
    </message>
    <message>
        <source>Right stays</source>
        <translation>Rechts bleibt</translation>
    </message>
    <message>
        <source>Mean</source>
        <translation>Mittel</translation>
    </message>
    <message>
        <source>Half-way between both halves, for halves that are nearly alike</source>
        <translation>Halbwegs zwischen beiden Hälften, für beinahe gleiche Hälften</translation>
    </message>
    <message>
        <source>The half that stays</source>
        <translation>Die Hälfte, die bleibt</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>Both halves as they are in the picture</source>
        <translation>Beide Hälften, wie sie im Bild sind</translation>
    </message>
    <message>
        <source>mirrored half</source>
        <translation>Hälfte gespiegelt</translation>
    </message>
    <message>
        <source>mirror taken back</source>
        <translation>Spiegeln zurückgenommen</translation>
    </message>
    <message>
        <source>One half stays, the other becomes its mirror image, exact to the last curve. What was decided about regions, split lines and ink goes with it.</source>
        <translation>Eine Hälfte bleibt, die andere wird ihr Spiegelbild, genau bis zur letzten Kurve. Was über Flächen, Trennlinien und Tinte entschieden wurde, geht mit.</translation>
    </message>
    <message>
        <source>The left half and the right one are alike.</source>
        <translation>Die linke und die rechte Hälfte sind gleich.</translation>
    </message>
    <message>
        <source>The upper half and the lower one are alike.</source>
        <translation>Die obere und die untere Hälfte sind gleich.</translation>
    </message>
    <message>
        <source>Upper stays</source>
        <translation>Oben bleibt</translation>
    </message>
    <message>
        <source>Lower stays</source>
        <translation>Unten bleibt</translation>
    </message>
</context>
<context>
    <name>Month</name>
    <message>
        <source>Month before</source>
        <translation>Monat davor</translation>
    </message>
    <message>
        <source>Today</source>
        <translation>Heute</translation>
    </message>
    <message>
        <source>Next month</source>
        <translation>Nächster Monat</translation>
    </message>
    <message>
        <source>Mon</source>
        <translation>Mo</translation>
    </message>
    <message>
        <source>Tue</source>
        <translation>Di</translation>
    </message>
    <message>
        <source>Wed</source>
        <translation>Mi</translation>
    </message>
    <message>
        <source>Thu</source>
        <translation>Do</translation>
    </message>
    <message>
        <source>Fri</source>
        <translation>Fr</translation>
    </message>
    <message>
        <source>Sat</source>
        <translation>Sa</translation>
    </message>
    <message>
        <source>Sun</source>
        <translation>So</translation>
    </message>
    <message>
        <source>January</source>
        <translation>Januar</translation>
    </message>
    <message>
        <source>February</source>
        <translation>Februar</translation>
    </message>
    <message>
        <source>March</source>
        <translation>März</translation>
    </message>
    <message>
        <source>April</source>
        <translation>April</translation>
    </message>
    <message>
        <source>May</source>
        <translation>Mai</translation>
    </message>
    <message>
        <source>June</source>
        <translation>Juni</translation>
    </message>
    <message>
        <source>July</source>
        <translation>Juli</translation>
    </message>
    <message>
        <source>August</source>
        <translation>August</translation>
    </message>
    <message>
        <source>September</source>
        <translation>September</translation>
    </message>
    <message>
        <source>October</source>
        <translation>Oktober</translation>
    </message>
    <message>
        <source>November</source>
        <translation>November</translation>
    </message>
    <message>
        <source>December</source>
        <translation>Dezember</translation>
    </message>
</context>
<context>
    <name>NamedSlider</name>
    <message>
        <source>Auto</source>
        <translation>Auto</translation>
    </message>
</context>
<context>
    <name>NarrowBox</name>
    <message>
        <source>Smallest width wanted</source>
        <translation>Gewünschte kleinste Breite</translation>
    </message>
    <message>
        <source>smallest width</source>
        <translation>kleinste Breite</translation>
    </message>
    <message>
        <source>Show widths on the bench</source>
        <translation>Breiten auf der Werkbank zeigen</translation>
    </message>
    <message>
        <source>Red is under the smallest width, blue is near it, green up to three times</source>
        <translation>Rot liegt unter der kleinsten Breite, Blau nahe daran, Grün bis zum Dreifachen</translation>
    </message>
    <message>
        <source>Narrow places, the narrowest first</source>
        <translation>Schmale Stellen, die schmalste zuerst</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Where what is cut out is narrow</source>
        <translation>Wo das Ausgeschnittene schmal ist</translation>
    </message>
    <message>
        <source>Spaces</source>
        <translation>Abstände</translation>
    </message>
    <message>
        <source>Where two cuts come near each other</source>
        <translation>Wo zwei Schnitte einander nahe kommen</translation>
    </message>
    <message>
        <source>What is measured</source>
        <translation>Was gemessen wird</translation>
    </message>
    <message>
        <source>Thicken here</source>
        <translation>Hier verdicken</translation>
    </message>
    <message>
        <source>The chosen places get the smallest width, smoothly</source>
        <translation>Die gewählten Stellen bekommen die kleinste Breite, glatt</translation>
    </message>
    <message>
        <source>Thicken all</source>
        <translation>Alle verdicken</translation>
    </message>
    <message>
        <source>Every place under the smallest width, round after round until none is left</source>
        <translation>Jede Stelle unter der kleinsten Breite, Runde um Runde, bis keine übrig ist</translation>
    </message>
    <message>
        <source>Smallest width</source>
        <translation>Kleinste Breite</translation>
    </message>
    <message>
        <source>thickened</source>
        <translation>verdickt</translation>
    </message>
    <message>
        <source>No sheet is narrower than {0} anywhere.</source>
        <translation>Kein Bogen ist irgendwo schmaler als {0}.</translation>
    </message>
    <message>
        <source>No two cuts are nearer to each other than {0}.</source>
        <translation>Keine zwei Schnitte liegen näher beieinander als {0}.</translation>
    </message>
    <message>
        <source>1 stretch is under it.</source>
        <translation>1 Stück liegt darunter.</translation>
    </message>
    <message>
        <source>{0} stretches are under it.</source>
        <translation>{0} Stücke liegen darunter.</translation>
    </message>
    <message>
        <source>{0}{1} · {2}</source>
        <translation>{0}{1} · {2}</translation>
    </message>
    <message>
        <source>, too narrow</source>
        <translation>, zu schmal</translation>
    </message>
</context>
<context>
    <name>NextBar</name>
    <message>
        <source>Source</source>
        <translation>Quelle</translation>
    </message>
    <message>
        <source>Trace</source>
        <translation>Nachzeichnen</translation>
    </message>
    <message>
        <source>Clean</source>
        <translation>Säubern</translation>
    </message>
    <message>
        <source>Layers</source>
        <translation>Ebenen</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Release</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>See to it first</source>
        <translation>Zuerst darum kümmern</translation>
    </message>
    <message>
        <source>Prepare all that helps</source>
        <translation>Alles vorbereiten, was hilft</translation>
    </message>
    <message>
        <source>You see before and after, and can take it back.</source>
        <translation>Du siehst vorher und nachher und kannst es zurücknehmen.</translation>
    </message>
    <message>
        <source>Write cut files…</source>
        <translation>Schneidedateien schreiben …</translation>
    </message>
    <message>
        <source>Nothing is cut: choose another reading, or bring regions in.</source>
        <translation>Nichts wird geschnitten: wähl eine andere Lesart, oder hol Flächen herein.</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>Not yet: the exact result is on its way.</source>
        <translation>Noch nicht: das genaue Ergebnis ist unterwegs.</translation>
    </message>
    <message>
        <source>1 thing to look at here first, if you like.</source>
        <translation>1 Sache hier zuerst anzusehen, wenn du magst.</translation>
    </message>
    <message>
        <source>{0} things to look at here first, if you like.</source>
        <translation>{0} Sachen hier zuerst anzusehen, wenn du magst.</translation>
    </message>
    <message>
        <source>Next: {0}</source>
        <translation>Weiter: {0}</translation>
    </message>
</context>
<context>
    <name>Notice</name>
    <message>
        <source>Close this message</source>
        <translation>Diese Meldung schließen</translation>
    </message>
</context>
<context>
    <name>OffcutsBox</name>
    <message>
        <source>Rests of the logbook&apos;s stock that suit, in their true shape</source>
        <translation>Passende Reste aus dem Lager, in ihrer wahren Form</translation>
    </message>
    <message>
        <source>Rests</source>
        <translation>Reste</translation>
    </message>
    <message>
        <source>Size of the rest</source>
        <translation>Größe des Restes</translation>
    </message>
    <message>
        <source>120 × 300 mm</source>
        <translation>120 × 300 mm</translation>
    </message>
    <message>
        <source>Material of the rest</source>
        <translation>Material des Restes</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Into the list of rests</source>
        <translation>In die Liste der Reste</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The chosen rest</source>
        <translation>Den gewählten Rest</translation>
    </message>
    <message>
        <source>What is left of other work is used up before a new sheet is taken.</source>
        <translation>Was von anderen Arbeiten übrig ist, wird verbraucht, bevor ein neuer Bogen genommen wird.</translation>
    </message>
    <message>
        <source>any material</source>
        <translation>jedes Material</translation>
    </message>
    <message>
        <source>Any material</source>
        <translation>Jedes Material</translation>
    </message>
    <message>
        <source>Use the rest in stock</source>
        <translation>Rest aus dem Lager nehmen</translation>
    </message>
    <message>
        <source>Use the {0} rests in stock</source>
        <translation>{0} Reste aus dem Lager nehmen</translation>
    </message>
    <message>
        <source>In stock: {0}</source>
        <translation>Im Lager: {0}</translation>
    </message>
    <message>
        <source>1 in stock</source>
        <translation>1 im Lager</translation>
    </message>
    <message>
        <source>{0} in stock</source>
        <translation>{0} im Lager</translation>
    </message>
    <message>
        <source>rests of the stock</source>
        <translation>Reste aus dem Lager</translation>
    </message>
    <message>
        <source>Type a size such as 120 × 300 mm or 5 × 12 in.</source>
        <translation>Eine Größe eingeben wie 120 × 300 mm oder 5 × 12 in.</translation>
    </message>
    <message>
        <source>There are {0} rests already, the most there can be.</source>
        <translation>Es gibt schon {0} Reste, mehr können es nicht sein.</translation>
    </message>
    <message>
        <source>rest added</source>
        <translation>Rest hinzugefügt</translation>
    </message>
    <message>
        <source>rest taken out</source>
        <translation>Rest herausgenommen</translation>
    </message>
</context>
<context>
    <name>Offered</name>
    <message>
        <source>It holds no picture. Copy one first.</source>
        <translation>Da ist kein Bild darin. Kopiere zuerst eines.</translation>
    </message>
    <message>
        <source>That is a web address, and nothing is fetched from the net. Save the picture, then open it.</source>
        <translation>Das ist eine Webadresse, und aus dem Netz wird nichts geholt. Speichere das Bild und öffne es dann.</translation>
    </message>
    <message>
        <source>The folder “{0}” has no picture in it.</source>
        <translation>Im Ordner „{0}“ ist kein Bild.</translation>
    </message>
    <message>
        <source>{0} pictures are too many at once; take those that are wanted.</source>
        <translation>{0} Bilder sind zu viele auf einmal; nimm die, die gewünscht sind.</translation>
    </message>
    <message>
        <source>pasted picture</source>
        <translation>eingefügtes Bild</translation>
    </message>
    <message>
        <source>pasted drawing</source>
        <translation>eingefügte Zeichnung</translation>
    </message>
</context>
<context>
    <name>Opening</name>
    <message>
        <source>This file is drawn by curves. Its picture is traced, unless they are kept as they are.</source>
        <translation>Diese Datei ist aus Kurven gezeichnet. Ihr Bild wird nachgezeichnet, wenn sie nicht bleiben, wie sie sind.</translation>
    </message>
    <message>
        <source>Keep its curves</source>
        <translation>Ihre Kurven behalten</translation>
    </message>
    <message>
        <source>the file&apos;s own curves</source>
        <translation>die eigenen Kurven der Datei</translation>
    </message>
    <message>
        <source>Trace its picture</source>
        <translation>Ihr Bild nachzeichnen</translation>
    </message>
    <message>
        <source>Open pictures or a project</source>
        <translation>Bilder oder ein Projekt öffnen</translation>
    </message>
    <message>
        <source>Pictures and projects ({0})</source>
        <translation>Bilder und Projekte ({0})</translation>
    </message>
    <message>
        <source>Open a folder of pictures</source>
        <translation>Einen Ordner mit Bildern öffnen</translation>
    </message>
    <message>
        <source>{0} files. What are they to each other?</source>
        <translation>{0} Dateien. Was sind sie füreinander?</translation>
    </message>
    <message>
        <source>Layers of one work…</source>
        <translation>Ebenen einer Arbeit …</translation>
    </message>
    <message>
        <source>Works of their own</source>
        <translation>Eigene Arbeiten</translation>
    </message>
    <message>
        <source>Next work</source>
        <translation>Nächstes Werk</translation>
    </message>
    <message>
        <source>Work before</source>
        <translation>Voriges Werk</translation>
    </message>
    <message>
        <source>Work {0} of {1}: {2}</source>
        <translation>Werk {0} von {1}: {2}</translation>
    </message>
    <message>
        <source>Scanning</source>
        <translation>Scannen</translation>
    </message>
    <message>
        <source>The demo could not be copied: {0}</source>
        <translation>Die Demo konnte nicht kopiert werden: {0}</translation>
    </message>
    <message>
        <source>“{0}” was left unsaved the last time.</source>
        <translation>„{0}“ blieb beim letzten Mal ungespeichert.</translation>
    </message>
    <message>
        <source>Go on with it</source>
        <translation>Damit weitermachen</translation>
    </message>
    <message>
        <source>Discard</source>
        <translation>Verwerfen</translation>
    </message>
    <message>
        <source>Unsaved “{0}” was set aside and is kept.</source>
        <translation>Das ungespeicherte „{0}“ wurde beiseitegelegt und ist aufgehoben.</translation>
    </message>
    <message>
        <source>Nothing yet</source>
        <translation>Noch nichts</translation>
    </message>
</context>
<context>
    <name>OperationBox</name>
    <message>
        <source>On</source>
        <translation>An</translation>
    </message>
    <message>
        <source>Tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>Only what is left by</source>
        <translation>Nur, was übrig lässt</translation>
    </message>
    <message>
        <source>Wide ground cleared by</source>
        <translation>Breiter Grund geräumt mit</translation>
    </message>
    <message>
        <source>What stays standing in it</source>
        <translation>Was darin stehen bleibt</translation>
    </message>
    <message>
        <source>Stays standing</source>
        <translation>Bleibt stehen</translation>
    </message>
    <message>
        <source>Point at it</source>
        <translation>Darauf zeigen</translation>
    </message>
    <message>
        <source>Click on the blank what it is to be carved on; another click there means what lies below</source>
        <translation>Auf dem Rohling anklicken, woran geschnitzt werden soll; ein weiterer Klick dort meint, was darunter liegt</translation>
    </message>
    <message>
        <source>Point at what stands</source>
        <translation>Auf Stehendes zeigen</translation>
    </message>
    <message>
        <source>Click on the blank what is to stay standing; again, and it does not</source>
        <translation>Auf dem Rohling anklicken, was stehen bleiben soll; noch einmal, und es bleibt nicht</translation>
    </message>
    <message>
        <source>Passes and feed</source>
        <translation>Bahnen und Vorschub</translation>
    </message>
    <message>
        <source>Of this operation alone; 0 for those of its tool</source>
        <translation>Nur dieses Arbeitsgangs; 0 für die seines Werkzeugs</translation>
    </message>
    <message>
        <source>– all of it –</source>
        <translation>– alles –</translation>
    </message>
    <message>
        <source>– the V itself –</source>
        <translation>– das V selbst –</translation>
    </message>
    <message>
        <source>a layer that is gone</source>
        <translation>eine Ebene, die fort ist</translation>
    </message>
    <message>
        <source>a figure</source>
        <translation>eine Figur</translation>
    </message>
    <message>
        <source>a line</source>
        <translation>eine Linie</translation>
    </message>
    <message>
        <source>the blank&apos;s outline</source>
        <translation>der Umriss des Rohlings</translation>
    </message>
    <message>
        <source>the field</source>
        <translation>das Feld</translation>
    </message>
    <message>
        <source>the middle of the rim</source>
        <translation>die Mitte des Rands</translation>
    </message>
    <message>
        <source>a region</source>
        <translation>ein Bereich</translation>
    </message>
    <message>
        <source>all of the work</source>
        <translation>die ganze Arbeit</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>{0} places</source>
        <translation>{0} Stellen</translation>
    </message>
</context>
<context>
    <name>OrderBox</name>
    <message>
        <source>Less cutting</source>
        <translation>Weniger Schnitt</translation>
    </message>
    <message>
        <source>How much the proposed order saves cutting</source>
        <translation>Wie sehr die vorgeschlagene Reihenfolge Schnitt spart</translation>
    </message>
    <message>
        <source>Fewer pieces</source>
        <translation>Weniger Teile</translation>
    </message>
    <message>
        <source>A piece to lay counts as 100 mm of cutting</source>
        <translation>Ein Teil zu legen zählt wie 100 mm Schnitt</translation>
    </message>
    <message>
        <source>Less film</source>
        <translation>Weniger Folie</translation>
    </message>
    <message>
        <source>A square centimetre counts as 2 mm of cutting</source>
        <translation>Ein Quadratzentimeter zählt wie 2 mm Schnitt</translation>
    </message>
    <message>
        <source>Forgives mislaying</source>
        <translation>Verzeiht schiefes Legen</translation>
    </message>
    <message>
        <source>Edges where a third colour shows as soon as a sheet is laid a hair off count by their length</source>
        <translation>Kanten, an denen eine dritte Farbe vorscheint, sobald ein Bogen um ein Haar schief liegt, zählen mit ihrer Länge</translation>
    </message>
    <message>
        <source>No sheet for little</source>
        <translation>Kein Bogen für wenig</translation>
    </message>
    <message>
        <source>A sheet of which hardly anything is seen counts by what is covered of it, as film does</source>
        <translation>Ein Bogen, von dem kaum etwas zu sehen ist, zählt mit dem, was von ihm verdeckt ist, wie Folie</translation>
    </message>
    <message>
        <source>least cutting</source>
        <translation>am wenigsten Schnitt</translation>
    </message>
    <message>
        <source>fewest pieces</source>
        <translation>die wenigsten Teile</translation>
    </message>
    <message>
        <source>least film</source>
        <translation>am wenigsten Folie</translation>
    </message>
    <message>
        <source>forgives most</source>
        <translation>verzeiht am meisten</translation>
    </message>
    <message>
        <source>a balance</source>
        <translation>ein Ausgleich</translation>
    </message>
    <message>
        <source>next best</source>
        <translation>nächstbeste</translation>
    </message>
    <message>
        <source>Orders worth a look, base on the left; click one to take it</source>
        <translation>Sehenswerte Reihenfolgen, Basis links; klicke eine an, um sie zu nehmen</translation>
    </message>
    <message>
        <source>order</source>
        <translation>Reihenfolge</translation>
    </message>
    <message>
        <source>Where proposed orders have the chosen layer</source>
        <translation>Wo vorgeschlagene Reihenfolgen die gewählte Ebene haben</translation>
    </message>
    <message>
        <source>Chosen: anywhere</source>
        <translation>Gewählte: beliebig</translation>
    </message>
    <message>
        <source>Chosen: always the base</source>
        <translation>Gewählte: immer Basis</translation>
    </message>
    <message>
        <source>Chosen: always on top</source>
        <translation>Gewählte: immer oben</translation>
    </message>
    <message>
        <source>Always above…</source>
        <translation>Immer über …</translation>
    </message>
    <message>
        <source>Choose a layer that the chosen one is always to lie above</source>
        <translation>Wähle eine Ebene, über der die gewählte immer liegen soll</translation>
    </message>
    <message>
        <source>Forget rules</source>
        <translation>Regeln vergessen</translation>
    </message>
    <message>
        <source>No layer is pinned any more</source>
        <translation>Keine Ebene ist mehr festgesetzt</translation>
    </message>
    <message>
        <source>what the order is to save</source>
        <translation>was die Reihenfolge sparen soll</translation>
    </message>
    <message>
        <source>{0} is always the base</source>
        <translation>{0} ist immer die Basis</translation>
    </message>
    <message>
        <source>{0} is always on top</source>
        <translation>{0} ist immer obenauf</translation>
    </message>
    <message>
        <source>{0} is always above {1}</source>
        <translation>{0} ist immer über {1}</translation>
    </message>
    <message>
        <source>Base to top</source>
        <translation>Basis bis oben</translation>
    </message>
    <message>
        <source>Cut m</source>
        <translation>Schnitt m</translation>
    </message>
    <message>
        <source>Cut ft</source>
        <translation>Schnitt ft</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>cm²</source>
        <translation>cm²</translation>
    </message>
    <message>
        <source>{0}: {1} of cutting, {2}, as a stack</source>
        <translation>{0}: {1} Schnitt, {2}, als Stapel</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>pinned layer</source>
        <translation>Ebene festgesetzt</translation>
    </message>
    <message>
        <source>order rule</source>
        <translation>Regel der Reihenfolge</translation>
    </message>
    <message>
        <source>order rules</source>
        <translation>Regeln der Reihenfolge</translation>
    </message>
</context>
<context>
    <name>OrderNote</name>
    <message>
        <source>Use the proposed order</source>
        <translation>Vorgeschlagene Reihenfolge nehmen</translation>
    </message>
    <message>
        <source>With fitted sheets the order hardly changes the cutting.</source>
        <translation>Bei eingepassten Bögen ändert die Reihenfolge den Schnitt kaum.</translation>
    </message>
    <message>
        <source>As a stack, this order cuts {0}; the proposed one {1}.</source>
        <translation>Als Stapel schneidet diese Reihenfolge {0}, die vorgeschlagene {1}.</translation>
    </message>
    <message>
        <source>This order cuts {0} more than the proposed one.</source>
        <translation>Diese Reihenfolge schneidet {0} mehr als die vorgeschlagene.</translation>
    </message>
    <message>
        <source>This order cuts {0} less than the proposed one.</source>
        <translation>Diese Reihenfolge schneidet {0} weniger als die vorgeschlagene.</translation>
    </message>
    <message>
        <source>The proposed order: of whole sheets, none cuts less.</source>
        <translation>Die vorgeschlagene Reihenfolge: mit ganzen Bögen schneidet keine weniger.</translation>
    </message>
    <message>
        <source>A good order, at most {0:.0f} % above the best: with so many colours not all can be looked at.</source>
        <translation>Eine gute Reihenfolge, höchstens {0:.0f} % über der besten: bei so vielen Farben lassen sich nicht alle ansehen.</translation>
    </message>
    <message>
        <source>proposed order</source>
        <translation>vorgeschlagene Reihenfolge</translation>
    </message>
</context>
<context>
    <name>OwnBridgeTool</name>
    <message>
        <source>Click the end of one stroke, then of the other. Esc ends.</source>
        <translation>Klicke das Ende eines Strichs, dann das des anderen. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>OwnFigures</name>
    <message>
        <source>Keep a figure</source>
        <translation>Figur behalten</translation>
    </message>
    <message>
        <source>Its name; one of the same name is replaced:</source>
        <translation>Ihr Name; eine gleichen Namens wird ersetzt:</translation>
    </message>
    <message>
        <source>“{0}” is kept under “My figures”.</source>
        <translation>„{0}“ liegt jetzt unter „Meine Figuren“.</translation>
    </message>
</context>
<context>
    <name>PageTool</name>
    <message>
        <source>Drag the corners onto the page&apos;s corners, then press Enter. Esc leaves it.</source>
        <translation>Ziehe die Ecken auf die Ecken der Seite, dann drücke Enter. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>Painting</name>
    <message>
        <source>source</source>
        <translation>Quelle</translation>
    </message>
    <message>
        <source>cut</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>this reading is not meant to be like the picture everywhere</source>
        <translation>diese Lesart soll dem Bild nicht überall gleichen</translation>
    </message>
    <message>
        <source>hatched: {0:.2%} of the picture, unlike what is cut there</source>
        <translation>schraffiert: {0:.2%} des Bildes, anders als das, was dort geschnitten wird</translation>
    </message>
    <message>
        <source>rough preview</source>
        <translation>grobe Vorschau</translation>
    </message>
</context>
<context>
    <name>PartBox</name>
    <message>
        <source>Turn by 90°</source>
        <translation>Um 90° drehen</translation>
    </message>
    <message>
        <source>On the spot (T)</source>
        <translation>Auf der Stelle (T)</translation>
    </message>
    <message>
        <source>Let it be placed</source>
        <translation>Platzieren lassen</translation>
    </message>
    <message>
        <source>Where the program finds best (Delete)</source>
        <translation>Wo das Programm es am besten findet (Entf)</translation>
    </message>
    <message>
        <source>Sheet it lies on</source>
        <translation>Bogen, auf dem es liegt</translation>
    </message>
    <message>
        <source>Let all be placed</source>
        <translation>Alles platzieren lassen</translation>
    </message>
    <message>
        <source>Nothing stays where it was put by hand</source>
        <translation>Nichts bleibt, wo es von Hand hingelegt wurde</translation>
    </message>
    <message>
        <source>Click a part on the sheet to choose it.</source>
        <translation>Klick ein Teil auf dem Bogen an, um es zu wählen.</translation>
    </message>
    <message>
        <source>Test cut</source>
        <translation>Probeschnitt</translation>
    </message>
    <message>
        <source>{0} parts are chosen, the last: {1}</source>
        <translation>{0} Teile sind gewählt, das letzte: {1}</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>From left and top</source>
        <translation>Von links und oben</translation>
    </message>
    <message>
        <source>Turned</source>
        <translation>Gedreht</translation>
    </message>
    <message>
        <source>{0}°</source>
        <translation>{0}°</translation>
    </message>
    <message>
        <source>Put here</source>
        <translation>Hier liegt es</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>von Hand</translation>
    </message>
    <message>
        <source>by the program</source>
        <translation>durch das Programm</translation>
    </message>
    <message>
        <source>on sheet {0}</source>
        <translation>auf Bogen {0}</translation>
    </message>
    <message>
        <source>on another sheet</source>
        <translation>auf einem weiteren Bogen</translation>
    </message>
</context>
<context>
    <name>PatchBox</name>
    <message>
        <source>Draw round a part…</source>
        <translation>Teil umranden …</translation>
    </message>
    <message>
        <source>Draw a line round a part of the picture to give it settings of its own</source>
        <translation>Zeichne eine Linie um einen Teil des Bildes, um ihm eigene Einstellungen zu geben</translation>
    </message>
    <message>
        <source>Parts with settings of their own</source>
        <translation>Teile mit eigenen Einstellungen</translation>
    </message>
    <message>
        <source>Cut-off here</source>
        <translation>Schwelle hier</translation>
    </message>
    <message>
        <source>As in the whole picture</source>
        <translation>Wie im ganzen Bild</translation>
    </message>
    <message>
        <source>Colours here</source>
        <translation>Farben hier</translation>
    </message>
    <message>
        <source>Outlines here</source>
        <translation>Umrisse hier</translation>
    </message>
    <message>
        <source>As all</source>
        <translation>Wie alle</translation>
    </message>
    <message>
        <source>Smallest detail here</source>
        <translation>Kleinstes Detail hier</translation>
    </message>
    <message>
        <source>Take this part back</source>
        <translation>Diesen Teil zurücknehmen</translation>
    </message>
    <message>
        <source>part with settings of its own</source>
        <translation>Teil mit eigenen Einstellungen</translation>
    </message>
    <message>
        <source>Part {0}: {1}</source>
        <translation>Teil {0}: {1}</translation>
    </message>
    <message>
        <source>{0} own settings</source>
        <translation>{0} eigene Einstellungen</translation>
    </message>
    <message>
        <source>as the whole, so far</source>
        <translation>bisher wie das Ganze</translation>
    </message>
    <message>
        <source>setting of a part</source>
        <translation>Einstellung eines Teils</translation>
    </message>
</context>
<context>
    <name>PhotoBox</name>
    <message>
        <source>Look elsewhere…</source>
        <translation>Woanders hinsehen …</translation>
    </message>
    <message>
        <source>Click on the bench what the close look shows: a face, an eye</source>
        <translation>Klicke auf der Werkbank an, was der nahe Blick zeigt: ein Gesicht, ein Auge</translation>
    </message>
    <message>
        <source>They differ here: each has steps of its own.</source>
        <translation>Sie unterscheiden sich hier: Jeder hat eigene Stufen.</translation>
    </message>
    <message>
        <source>They differ little in so many tones: one ramp from dark to light.</source>
        <translation>Sie unterscheiden sich bei so vielen Tönen wenig: eine Reihe von dunkel nach hell.</translation>
    </message>
    <message>
        <source>1 strong detail is under the smallest one</source>
        <translation>1 starkes Detail liegt unter dem kleinsten</translation>
    </message>
    <message>
        <source>{0} strong details are under the smallest one</source>
        <translation>{0} starke Details liegen unter dem kleinsten</translation>
    </message>
    <message>
        <source>No strong detail is under the smallest one: with and without are the same.</source>
        <translation>Kein starkes Detail liegt unter dem kleinsten: mit und ohne sind gleich.</translation>
    </message>
    <message>
        <source>{0}, {1} of them here; {2}.</source>
        <translation>{0}, {1} davon hier; {2}.</translation>
    </message>
    <message>
        <source>they stay</source>
        <translation>sie bleiben</translation>
    </message>
    <message>
        <source>they are lost</source>
        <translation>sie sind verloren</translation>
    </message>
</context>
<context>
    <name>PickTool</name>
    <message>
        <source>Click regions, the first one first. Esc ends.</source>
        <translation>Klicke Flächen an, die erste zuerst. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>Placing</name>
    <message>
        <source>part put elsewhere</source>
        <translation>Teil anderswohin gelegt</translation>
    </message>
    <message>
        <source>Its material, or the setting below, bears no turn.</source>
        <translation>Sein Material oder die Einstellung unten verträgt keine Drehung.</translation>
    </message>
    <message>
        <source>part turned</source>
        <translation>Teil gedreht</translation>
    </message>
    <message>
        <source>part placed</source>
        <translation>Teil platziert</translation>
    </message>
    <message>
        <source>Sheet {0} is of another colour or material.</source>
        <translation>Bogen {0} ist von anderer Farbe oder anderem Material.</translation>
    </message>
    <message>
        <source>part on another sheet</source>
        <translation>Teil auf anderem Bogen</translation>
    </message>
</context>
<context>
    <name>Planning</name>
    <message>
        <source>all placed</source>
        <translation>alles platziert</translation>
    </message>
    <message>
        <source>Sheets are planned once the exact result is there.</source>
        <translation>Bogen werden geplant, sobald das genaue Ergebnis da ist.</translation>
    </message>
    <message>
        <source>Nothing is left to cut.</source>
        <translation>Nichts ist übrig, was zu schneiden wäre.</translation>
    </message>
    <message>
        <source>Planning …</source>
        <translation>Plane …</translation>
    </message>
    <message>
        <source>Nothing fits a sheet. A larger carrier, a smaller size or dividing helps.</source>
        <translation>Nichts passt auf einen Bogen. Ein größerer Träger, eine kleinere Größe oder Teilen hilft.</translation>
    </message>
    <message>
        <source>seam moved</source>
        <translation>Naht verschoben</translation>
    </message>
    <message>
        <source>best seam</source>
        <translation>beste Naht</translation>
    </message>
</context>
<context>
    <name>PlayCanvas</name>
    <message>
        <source>The machine at work</source>
        <translation>Die Maschine bei der Arbeit</translation>
    </message>
    <message>
        <source>{0}, {1} from its origin</source>
        <translation>{0}, {1} von ihrem Nullpunkt</translation>
    </message>
</context>
<context>
    <name>PlayView</name>
    <message>
        <source>File that is shown</source>
        <translation>Datei, die gezeigt wird</translation>
    </message>
    <message>
        <source>Send this file…</source>
        <translation>Diese Datei senden …</translation>
    </message>
    <message>
        <source>To a machine on a line of this computer</source>
        <translation>An eine Maschine an einer Leitung dieses Rechners</translation>
    </message>
    <message>
        <source>Back to the work</source>
        <translation>Zurück zur Arbeit</translation>
    </message>
    <message>
        <source>Play (Space)</source>
        <translation>Abspielen (Leertaste)</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Abspielen</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>{0} times</source>
        <translation>{0}fach</translation>
    </message>
    <message>
        <source>There is nothing to look at.</source>
        <translation>Es gibt nichts anzusehen.</translation>
    </message>
    <message>
        <source>1 page</source>
        <translation>1 Seite</translation>
    </message>
    <message>
        <source>{0} pages</source>
        <translation>{0} Seiten</translation>
    </message>
    <message>
        <source>{0} kB, {1}</source>
        <translation>{0} kB, {1}</translation>
    </message>
    <message>
        <source>{0} × {1}, {2} cuts, {3} to cut</source>
        <translation>{0} × {1}, {2} Schnitte, {3} zu schneiden</translation>
    </message>
    <message>
        <source>{0} are cut twice (red)</source>
        <translation>{0} werden doppelt geschnitten (rot)</translation>
    </message>
    <message>
        <source>{0} cuts stay open</source>
        <translation>{0} Schnitte bleiben offen</translation>
    </message>
    <message>
        <source>{0} corners may lift (circles)</source>
        <translation>{0} Ecken können sich heben (Kreise)</translation>
    </message>
    <message>
        <source>line {0}: {1}</source>
        <translation>Zeile {0}: {1}</translation>
    </message>
    <message>
        <source>{0} of {1}</source>
        <translation>{0} von {1}</translation>
    </message>
    <message>
        <source>planned {0}</source>
        <translation>geplant {0}</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Anhalten</translation>
    </message>
</context>
<context>
    <name>Plot</name>
    <message>
        <source>Plot</source>
        <translation>Diagramm</translation>
    </message>
    <message>
        <source>{0} marks</source>
        <translation>{0} Zeichen</translation>
    </message>
    <message>
        <source>Plot: {0} by {1}. {2}</source>
        <translation>Diagramm: {0} nach {1}. {2}</translation>
    </message>
    <message>
        <source>{0} m², short</source>
        <translation>{0} m², knapp</translation>
    </message>
</context>
<context>
    <name>Pointed</name>
    <message>
        <source>stroke · {0} wide · {1} long</source>
        <translation>Strich · {0} breit · {1} lang</translation>
    </message>
    <message>
        <source>ground, not cut</source>
        <translation>Grund, nicht geschnitten</translation>
    </message>
    <message>
        <source>region left out · {0}</source>
        <translation>Fläche ausgelassen · {0}</translation>
    </message>
    <message>
        <source>region · {0} · layer {1} {2} · {3}</source>
        <translation>Fläche · {0} · Ebene {1} {2} · {3}</translation>
    </message>
</context>
<context>
    <name>Preferences</name>
    <message>
        <source>Preferences</source>
        <translation>Vorlieben</translation>
    </message>
    <message>
        <source>Look</source>
        <translation>Aussehen</translation>
    </message>
    <message>
        <source>As the desktop has it</source>
        <translation>Wie der Schreibtisch</translation>
    </message>
    <message>
        <source>Light</source>
        <translation>Hell</translation>
    </message>
    <message>
        <source>Dark</source>
        <translation>Dunkel</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>As the system has it</source>
        <translation>Wie das System</translation>
    </message>
    <message>
        <source>Unit of new works</source>
        <translation>Einheit neuer Arbeiten</translation>
    </message>
    <message>
        <source>Millimetres</source>
        <translation>Millimeter</translation>
    </message>
    <message>
        <source>Inches</source>
        <translation>Zoll</translation>
    </message>
    <message>
        <source>Keys…</source>
        <translation>Tasten…</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Machines, materials and prices are tables of their own, in Sheets and Layers.</source>
        <translation>Maschinen, Materialien und Preise sind eigene Tabellen, in Bogen und Ebenen.</translation>
    </message>
    <message>
        <source>Kept; new works begin with it.</source>
        <translation>Behalten; neue Arbeiten beginnen damit.</translation>
    </message>
    <message>
        <source>Kept.</source>
        <translation>Behalten.</translation>
    </message>
    <message>
        <source>Kept; the window has it at the next start.</source>
        <translation>Behalten; das Fenster hat es beim nächsten Start.</translation>
    </message>
</context>
<context>
    <name>PreparingBox</name>
    <message>
        <source>Crop…</source>
        <translation>Zuschnitt …</translation>
    </message>
    <message>
        <source>Drag a frame around what to keep</source>
        <translation>Ziehe einen Rahmen um das, was bleiben soll</translation>
    </message>
    <message>
        <source>Page…</source>
        <translation>Seite …</translation>
    </message>
    <message>
        <source>Mark the four corners of a page seen at a slant</source>
        <translation>Setze die vier Ecken einer schräg gesehenen Seite</translation>
    </message>
    <message>
        <source>Level…</source>
        <translation>Gerade …</translation>
    </message>
    <message>
        <source>Draw a line along something that should be level or upright</source>
        <translation>Ziehe eine Linie an etwas entlang, das waagerecht oder senkrecht sein soll</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehen</translation>
    </message>
    <message>
        <source>turn</source>
        <translation>Drehung</translation>
    </message>
    <message>
        <source>Quarter turn</source>
        <translation>Vierteldrehung</translation>
    </message>
    <message>
        <source>Turn by 90 degrees clockwise</source>
        <translation>Um 90 Grad im Uhrzeigersinn drehen</translation>
    </message>
    <message>
        <source>Level the light</source>
        <translation>Licht ausgleichen</translation>
    </message>
    <message>
        <source>Paper equally bright all over and without a cast</source>
        <translation>Papier überall gleich hell und ohne Farbstich</translation>
    </message>
    <message>
        <source>level light</source>
        <translation>Licht ausgeglichen</translation>
    </message>
    <message>
        <source>Take out a printing screen</source>
        <translation>Ein Druckraster entfernen</translation>
    </message>
    <message>
        <source>For printed pages: the dots become the tones they stand for</source>
        <translation>Für gedruckte Seiten: aus den Punkten werden die Töne, für die sie stehen</translation>
    </message>
    <message>
        <source>printing screen</source>
        <translation>Druckraster</translation>
    </message>
    <message>
        <source>Take out grain</source>
        <translation>Korn entfernen</translation>
    </message>
    <message>
        <source>grain</source>
        <translation>Korn</translation>
    </message>
    <message>
        <source>Lift pale pencil</source>
        <translation>Blassen Bleistift anheben</translation>
    </message>
    <message>
        <source>pale pencil</source>
        <translation>blasser Bleistift</translation>
    </message>
    <message>
        <source>Enlarge a small picture</source>
        <translation>Kleines Bild vergrößern</translation>
    </message>
    <message>
        <source>enlarge</source>
        <translation>vergrößern</translation>
    </message>
    <message>
        <source>Room beyond the picture on the left</source>
        <translation>Platz links neben dem Bild</translation>
    </message>
    <message>
        <source>Room beyond the picture at the top</source>
        <translation>Platz oberhalb des Bildes</translation>
    </message>
    <message>
        <source>Room beyond the picture on the right</source>
        <translation>Platz rechts neben dem Bild</translation>
    </message>
    <message>
        <source>Room beyond the picture at the bottom</source>
        <translation>Platz unterhalb des Bildes</translation>
    </message>
    <message>
        <source>As it came</source>
        <translation>Wie es kam</translation>
    </message>
    <message>
        <source>Take back every step of preparing</source>
        <translation>Jeden Schritt der Vorbereitung zurücknehmen</translation>
    </message>
    <message>
        <source>preparing</source>
        <translation>Vorbereitung</translation>
    </message>
    <message>
        <source>Room beyond the picture: left, top, right, bottom</source>
        <translation>Platz um das Bild: links, oben, rechts, unten</translation>
    </message>
    <message>
        <source>{0:.1f}°</source>
        <translation>{0:.1f}°</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>a little</source>
        <translation>ein wenig</translation>
    </message>
    <message>
        <source>more</source>
        <translation>mehr</translation>
    </message>
    <message>
        <source>strongly</source>
        <translation>stark</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>page flattened</source>
        <translation>Seite flach gemacht</translation>
    </message>
    <message>
        <source>cropped</source>
        <translation>beschnitten</translation>
    </message>
    <message>
        <source>quarter turn</source>
        <translation>Vierteldrehung</translation>
    </message>
    <message>
        <source>crop</source>
        <translation>Beschnitt</translation>
    </message>
    <message>
        <source>Too little of the picture lies in this frame; nothing was changed. Drag it around what to keep.</source>
        <translation>In diesem Rahmen liegt zu wenig vom Bild; nichts wurde geändert. Zieh ihn um das, was bleiben soll.</translation>
    </message>
    <message>
        <source>straighten</source>
        <translation>Ausrichten</translation>
    </message>
    <message>
        <source>page corners</source>
        <translation>Ecken der Seite</translation>
    </message>
    <message>
        <source>These corners go across each other; nothing was changed. Go round the page from one to the next.</source>
        <translation>Diese Ecken liegen über Kreuz; nichts wurde geändert. Geh von einer zur nächsten um die Seite herum.</translation>
    </message>
</context>
<context>
    <name>PresetsBox</name>
    <message>
        <source>Presets</source>
        <translation>Vorlagen</translation>
    </message>
    <message>
        <source>Keep…</source>
        <translation>Behalten …</translation>
    </message>
    <message>
        <source>Keep the present settings, hand presets on, or remove one</source>
        <translation>Die jetzigen Einstellungen behalten, Vorlagen weitergeben oder eine entfernen</translation>
    </message>
    <message>
        <source>Keep the present settings…</source>
        <translation>Jetzige Einstellungen behalten …</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Write presets to a file…</source>
        <translation>Vorlagen in eine Datei schreiben …</translation>
    </message>
    <message>
        <source>Read presets from a file…</source>
        <translation>Vorlagen aus einer Datei lesen …</translation>
    </message>
    <message>
        <source>Name of the preset</source>
        <translation>Name der Vorlage</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Last used: tone</source>
        <translation>Zuletzt verwendet: Ton</translation>
    </message>
    <message>
        <source>Last used: colour</source>
        <translation>Zuletzt verwendet: Farbe</translation>
    </message>
    <message>
        <source>Last used: line</source>
        <translation>Zuletzt verwendet: Linie</translation>
    </message>
    <message>
        <source>Last used: photo</source>
        <translation>Zuletzt verwendet: Foto</translation>
    </message>
    <message>
        <source>preset {0}</source>
        <translation>Vorlage {0}</translation>
    </message>
    <message>
        <source>Kept as “{0}”.</source>
        <translation>Behalten als „{0}“.</translation>
    </message>
    <message>
        <source>None yet</source>
        <translation>Noch keine</translation>
    </message>
    <message>
        <source>Write presets to a file</source>
        <translation>Vorlagen in eine Datei schreiben</translation>
    </message>
    <message>
        <source>{0} presets written.</source>
        <translation>{0} Vorlagen geschrieben.</translation>
    </message>
    <message>
        <source>Read presets from a file</source>
        <translation>Vorlagen aus einer Datei lesen</translation>
    </message>
    <message>
        <source>{0} presets read.</source>
        <translation>{0} Vorlagen gelesen.</translation>
    </message>
</context>
<context>
    <name>Rail</name>
    <message>
        <source>Logbook</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>What was made and tried, and what is in stock</source>
        <translation>Was gemacht und versucht wurde, und was im Vorrat ist</translation>
    </message>
</context>
<context>
    <name>RateKeeping</name>
    <message>
        <source>planned, minutes</source>
        <translation>geplant, Minuten</translation>
    </message>
    <message>
        <source>real, minutes</source>
        <translation>wirklich, Minuten</translation>
    </message>
    <message>
        <source>a job</source>
        <translation>ein Auftrag</translation>
    </message>
    <message>
        <source>not like the others</source>
        <translation>anders als die übrigen</translation>
    </message>
    <message>
        <source>Nothing to plot: say of a job how long it took.</source>
        <translation>Nichts zu zeichnen: sagen Sie von einem Auftrag, wie lange er dauerte.</translation>
    </message>
    <message>
        <source>speed, mm/s; {0}</source>
        <translation>Geschwindigkeit, mm/s; {0}</translation>
    </message>
    <message>
        <source>force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>Nothing to plot: name a material beside that has test cuts.</source>
        <translation>Nichts zu zeichnen: nennen Sie daneben ein Material, das Probeschnitte hat.</translation>
    </message>
    <message>
        <source>square metres</source>
        <translation>Quadratmeter</translation>
    </message>
    <message>
        <source>material</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Nothing in stock yet.</source>
        <translation>Noch nichts im Vorrat.</translation>
    </message>
    <message>
        <source>Plans reckon {0} for {1}.</source>
        <translation>Pläne rechnen {0} für {1}.</translation>
    </message>
</context>
<context>
    <name>RatesDetails</name>
    <message>
        <source>Plans take these rates</source>
        <translation>Pläne rechnen so</translation>
    </message>
    <message>
        <source>As worked out again</source>
        <translation>Wieder wie berechnet</translation>
    </message>
    <message>
        <source>Plans go by the machine&apos;s own figures</source>
        <translation>Pläne folgen den Zahlen der Maschine</translation>
    </message>
    <message>
        <source>Rates from real times</source>
        <translation>Zeitsätze aus wirklichen Zeiten</translation>
    </message>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>{0} jobs. Their plans were {1} % off in the middle; with these rates {2} %. Each rate as it is said → as it is fitted, and how sure that is.</source>
        <translation>{0} Aufträge. Ihre Pläne lagen in der Mitte {1} % daneben; mit diesen Werten {2} %. Jeder Wert, wie er angegeben ist → wie er angepasst ist, und wie sicher das ist.</translation>
    </message>
    <message>
        <source>Not like the others, and hardly counted: {0}.</source>
        <translation>Anders als die übrigen und kaum gezählt: {0}.</translation>
    </message>
    <message>
        <source>± {0} %</source>
        <translation>± {0} %</translation>
    </message>
    <message>
        <source>{0} × as long, {1}</source>
        <translation>{0} × so lang, {1}</translation>
    </message>
    <message>
        <source>{0} × as much, {1}</source>
        <translation>{0} × so viel, {1}</translation>
    </message>
    <message>
        <source>{0} → {1} {2}, {3}</source>
        <translation>{0} → {1} {2}, {3}</translation>
    </message>
    <message>
        <source>Plans go by what is worked out from the machine&apos;s figures.</source>
        <translation>Pläne folgen dem, was aus den Zahlen der Maschine berechnet wird.</translation>
    </message>
    <message>
        <source>Plans go by rates fitted before: {0}.</source>
        <translation>Pläne folgen früher gefundenen Sätzen: {0}.</translation>
    </message>
</context>
<context>
    <name>ReadingTiles</name>
    <message>
        <source>Reading</source>
        <translation>Lesart</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Tone</source>
        <translation>Ton</translation>
    </message>
    <message>
        <source>Line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>Photo</source>
        <translation>Foto</translation>
    </message>
    <message>
        <source>The program chooses from the picture</source>
        <translation>Das Programm wählt nach dem Bild</translation>
    </message>
    <message>
        <source>Chosen for this picture: {0}.</source>
        <translation>Für dieses Bild gewählt: {0}.</translation>
    </message>
    <message>
        <source>How the picture is read</source>
        <translation>Wie das Bild gelesen wird</translation>
    </message>
</context>
<context>
    <name>RecipientsBox</name>
    <message>
        <source>Somebody else…</source>
        <translation>Jemand anderes …</translation>
    </message>
    <message>
        <source>One more on this list, with the format, files and settings chosen now</source>
        <translation>Jemand mehr auf dieser Liste, mit dem Format, den Dateien und Einstellungen, die jetzt gewählt sind</translation>
    </message>
    <message>
        <source>Kept by you.</source>
        <translation>Von dir behalten.</translation>
    </message>
    <message>
        <source>Take off the list</source>
        <translation>Von der Liste nehmen</translation>
    </message>
    <message>
        <source>As it came</source>
        <translation>Wie es kam</translation>
    </message>
    <message>
        <source>Whoever you added goes; works and files stay</source>
        <translation>Wen du hinzugefügt hast, geht; Arbeiten und Dateien bleiben</translation>
    </message>
    <message>
        <source>What you kept for it is forgotten; the choices it came with are back</source>
        <translation>Was du dafür behalten hast, wird vergessen; die mitgelieferte Wahl gilt wieder</translation>
    </message>
    <message>
        <source>Kept for: {0}</source>
        <translation>Behalten für: {0}</translation>
    </message>
    <message>
        <source>Who gets it?</source>
        <translation>Wer bekommt es?</translation>
    </message>
    <message>
        <source>Name of whoever gets works, with what is chosen now:</source>
        <translation>Name dessen, der Arbeiten bekommt, mit dem, was jetzt gewählt ist:</translation>
    </message>
    <message>
        <source>Taken off the list: {0}</source>
        <translation>Von der Liste genommen: {0}</translation>
    </message>
    <message>
        <source>As it came: {0}</source>
        <translation>Wie mitgeliefert: {0}</translation>
    </message>
</context>
<context>
    <name>RecordForm</name>
    <message>
        <source>Change the chosen one</source>
        <translation>Gewähltes ändern</translation>
    </message>
    <message>
        <source>a name</source>
        <translation>ein Name</translation>
    </message>
    <message>
        <source>{0} must be {1}.</source>
        <translation>{0} muss sein: {1}.</translation>
    </message>
</context>
<context>
    <name>RegionWords</name>
    <message>
        <source>outside</source>
        <translation>außen</translation>
    </message>
    <message>
        <source>{0}, not cut: {1}</source>
        <translation>{0}, nicht geschnitten: {1}</translation>
    </message>
    <message>
        <source>its layer is locked in Layers</source>
        <translation>ihre Ebene ist unter Ebenen gesperrt</translation>
    </message>
    <message>
        <source>left alone; tick “The outside too” to change it</source>
        <translation>bleibt unberührt; „Auch das Äußere“ ankreuzen, um es zu ändern</translation>
    </message>
    <message>
        <source>the frame is not painted; tick “The frame too” to paint it</source>
        <translation>der Rahmen wird nicht bemalt; „Auch den Rahmen“ ankreuzen, um ihn zu bemalen</translation>
    </message>
    <message>
        <source>it has that colour</source>
        <translation>sie hat diese Farbe</translation>
    </message>
    <message>
        <source>a click brings it back</source>
        <translation>ein Klick holt sie zurück</translation>
    </message>
    <message>
        <source>a click fills it</source>
        <translation>ein Klick füllt sie</translation>
    </message>
    <message>
        <source>a click drops it</source>
        <translation>ein Klick lässt sie weg</translation>
    </message>
    <message>
        <source>a click opens it</source>
        <translation>ein Klick öffnet sie</translation>
    </message>
    <message>
        <source>a click keeps it</source>
        <translation>ein Klick behält sie</translation>
    </message>
    <message>
        <source>a click takes it from a sheet below</source>
        <translation>ein Klick nimmt sie von einem Bogen darunter</translation>
    </message>
    <message>
        <source>a click puts it on top</source>
        <translation>ein Klick legt sie obenauf</translation>
    </message>
    <message>
        <source>a click makes it {0}</source>
        <translation>ein Klick macht sie {0}</translation>
    </message>
    <message>
        <source>{0} · {1} · {2}</source>
        <translation>{0} · {1} · {2}</translation>
    </message>
    <message>
        <source>background, in Source</source>
        <translation>Hintergrund, in Quelle</translation>
    </message>
    <message>
        <source>ground, in Trace</source>
        <translation>Grund, in Nachzeichnen</translation>
    </message>
    <message>
        <source>everything is off</source>
        <translation>alles ist aus</translation>
    </message>
    <message>
        <source>dropped</source>
        <translation>weggelassen</translation>
    </message>
    <message>
        <source>opened</source>
        <translation>geöffnet</translation>
    </message>
    <message>
        <source>its layer is left out, in Layers</source>
        <translation>seine Ebene ist weggelassen, in Ebenen</translation>
    </message>
</context>
<context>
    <name>Regions</name>
    <message>
        <source>{0:.2f} cm²</source>
        <translation>{0:.2f} cm²</translation>
    </message>
    <message>
        <source>{0:.1f} mm²</source>
        <translation>{0:.1f} mm²</translation>
    </message>
    <message>
        <source>narrowest {0}</source>
        <translation>schmalste {0}</translation>
    </message>
    <message>
        <source>{0} regions</source>
        <translation>{0} Flächen</translation>
    </message>
    <message>
        <source>1 hole</source>
        <translation>1 Loch</translation>
    </message>
    <message>
        <source>{0} holes</source>
        <translation>{0} Löcher</translation>
    </message>
    <message>
        <source>{0} · {1}</source>
        <translation>{0} · {1}</translation>
    </message>
    <message>
        <source>region that is not cut</source>
        <translation>Fläche, die nicht geschnitten wird</translation>
    </message>
    <message>
        <source>{0} region</source>
        <translation>Fläche in {0}</translation>
    </message>
    <message>
        <source>thickened</source>
        <translation>verdickt</translation>
    </message>
</context>
<context>
    <name>RegionsBox</name>
    <message>
        <source>Drop</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>The region goes to what lies around it</source>
        <translation>Die Fläche geht an das, was darum liegt</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>The region becomes a window through all sheets</source>
        <translation>Die Fläche wird ein Fenster durch alle Bogen</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>The region gets the colour chosen below</source>
        <translation>Die Fläche bekommt die unten gewählte Farbe</translation>
    </message>
    <message>
        <source>Below</source>
        <translation>Darunter</translation>
    </message>
    <message>
        <source>The region shows through a window from a sheet of its colour below all others, as an eye does</source>
        <translation>Die Fläche zeigt sich durch ein Fenster, von einem Bogen ihrer Farbe unter allen anderen, wie ein Auge</translation>
    </message>
    <message>
        <source>On top</source>
        <translation>Obenauf</translation>
    </message>
    <message>
        <source>The region is a piece on a sheet of its colour above all others; in Layers that sheet can be put at any height</source>
        <translation>Die Fläche ist ein Teil auf einem Bogen ihrer Farbe über allen anderen; unter Ebenen lässt sich dieser Bogen auf jede Höhe legen</translation>
    </message>
    <message>
        <source>A click</source>
        <translation>Ein Klick</translation>
    </message>
    <message>
        <source>Another colour…</source>
        <translation>Eine andere Farbe …</translation>
    </message>
    <message>
        <source>A colour that the picture does not have; it gets a sheet of its own</source>
        <translation>Eine Farbe, die das Bild nicht hat; sie bekommt einen eigenen Bogen</translation>
    </message>
    <message>
        <source>Like in size</source>
        <translation>Ähnlich groß</translation>
    </message>
    <message>
        <source>The same colour, and not much larger or smaller</source>
        <translation>Dieselbe Farbe, und nicht viel größer oder kleiner</translation>
    </message>
    <message>
        <source>Any size</source>
        <translation>Jede Größe</translation>
    </message>
    <message>
        <source>All of the same colour</source>
        <translation>Alle derselben Farbe</translation>
    </message>
    <message>
        <source>In this design</source>
        <translation>In diesem Entwurf</translation>
    </message>
    <message>
        <source>All of the same colour in what hangs together here</source>
        <translation>Alle derselben Farbe in dem, was hier zusammenhängt</translation>
    </message>
    <message>
        <source>Like in shape</source>
        <translation>Gleiche Form</translation>
    </message>
    <message>
        <source>The same shape in any size, colour or turn</source>
        <translation>Dieselbe Form in jeder Größe, Farbe oder Drehung</translation>
    </message>
    <message>
        <source>Two clicks take all that are</source>
        <translation>Zwei Klicks nehmen alle</translation>
    </message>
    <message>
        <source>Lasso…</source>
        <translation>Lasso …</translation>
    </message>
    <message>
        <source>Draw round the regions</source>
        <translation>Zeichne um die Flächen herum</translation>
    </message>
    <message>
        <source>Box…</source>
        <translation>Rechteck …</translation>
    </message>
    <message>
        <source>Drag a box round the regions</source>
        <translation>Ziehe ein Rechteck um die Flächen</translation>
    </message>
    <message>
        <source>Everything off, then choose</source>
        <translation>Alles aus, dann wählen</translation>
    </message>
    <message>
        <source>Nothing is there but the regions you click</source>
        <translation>Nichts ist da außer den Flächen, die du anklickst</translation>
    </message>
    <message>
        <source>everything off</source>
        <translation>alles aus</translation>
    </message>
    <message>
        <source>The outside too</source>
        <translation>Auch das Äußere</translation>
    </message>
    <message>
        <source>What lies around the drawing, up to the edge of the page, is left alone while this is off</source>
        <translation>Was um die Zeichnung liegt, bis zum Rand der Seite, bleibt unberührt, solange dies aus ist</translation>
    </message>
    <message>
        <source>Magnify what is small</source>
        <translation>Kleines vergrößern</translation>
    </message>
    <message>
        <source>Show only</source>
        <translation>Nur zeigen</translation>
    </message>
    <message>
        <source>Everything else is hatched; clicks work all the same</source>
        <translation>Alles andere ist schraffiert; Klicks wirken trotzdem</translation>
    </message>
    <message>
        <source>A click on a region</source>
        <translation>Ein Klick auf eine Fläche</translation>
    </message>
    <message>
        <source>Two clicks take all that are alike</source>
        <translation>Zwei Klicks nehmen alle gleichen</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>A colour for regions</source>
        <translation>Eine Farbe für Flächen</translation>
    </message>
    <message>
        <source>A click brings a region in; a second one takes it out again.</source>
        <translation>Ein Klick holt eine Fläche herein; ein zweiter nimmt sie wieder heraus.</translation>
    </message>
    <message>
        <source>It goes to what lies around it; a hole is filled.</source>
        <translation>Sie geht an das, was darum liegt; ein Loch wird gefüllt.</translation>
    </message>
    <message>
        <source>It is opened through all sheets.</source>
        <translation>Sie wird durch alle Bogen geöffnet.</translation>
    </message>
    <message>
        <source>It shows through a window from a sheet below all others; Layers can move that sheet.</source>
        <translation>Sie zeigt sich durch ein Fenster, von einem Bogen unter allen anderen; unter Ebenen lässt er sich verschieben.</translation>
    </message>
    <message>
        <source>It lies on a sheet above all others; Layers can move that sheet.</source>
        <translation>Sie liegt auf einem Bogen über allen anderen; unter Ebenen lässt er sich verschieben.</translation>
    </message>
    <message>
        <source>It gets the colour chosen above, and that colour&apos;s sheet.</source>
        <translation>Sie bekommt die oben gewählte Farbe und deren Bogen.</translation>
    </message>
    <message>
        <source> Drag to sweep over many.</source>
        <translation> Ziehen streicht über viele.</translation>
    </message>
    <message>
        <source> Click again to bring it back; drag to sweep over many.</source>
        <translation> Nochmals klicken holt sie zurück; ziehen wischt über viele.</translation>
    </message>
    <message>
        <source>Everything</source>
        <translation>Alles</translation>
    </message>
    <message>
        <source>Only what was changed</source>
        <translation>Nur was geändert wurde</translation>
    </message>
    <message>
        <source>Only {0}</source>
        <translation>Nur {0}</translation>
    </message>
</context>
<context>
    <name>RegularBox</name>
    <message>
        <source>Look for it</source>
        <translation>Danach suchen</translation>
    </message>
    <message>
        <source>Nearly straight, round, equal, parallel, symmetric; with a common centre</source>
        <translation>Beinahe gerade, rund, gleich, parallel, symmetrisch; mit gemeinsamer Mitte</translation>
    </message>
    <message>
        <source>What is nearly regular, what moves least first</source>
        <translation>Was beinahe regelmäßig ist, was sich am wenigsten bewegt zuerst</translation>
    </message>
    <message>
        <source>Make it so</source>
        <translation>So machen</translation>
    </message>
    <message>
        <source>The chosen ones become exactly what they nearly are</source>
        <translation>Die gewählten werden genau, was sie beinahe sind</translation>
    </message>
    <message>
        <source>nearly a circle</source>
        <translation>beinahe ein Kreis</translation>
    </message>
    <message>
        <source>nearly straight</source>
        <translation>beinahe gerade</translation>
    </message>
    <message>
        <source>{0} circles nearly equal</source>
        <translation>{0} Kreise beinahe gleich</translation>
    </message>
    <message>
        <source>{0} circles nearly around one place</source>
        <translation>{0} Kreise beinahe um eine Mitte</translation>
    </message>
    <message>
        <source>nearly parallel to its neighbour</source>
        <translation>beinahe parallel zum Nachbarn</translation>
    </message>
    <message>
        <source>nearly symmetric</source>
        <translation>beinahe symmetrisch</translation>
    </message>
    <message>
        <source>{0} · moves {1}</source>
        <translation>{0} · bewegt sich {1}</translation>
    </message>
    <message>
        <source>Nothing is nearly regular that is not so already.</source>
        <translation>Nichts ist beinahe regelmäßig, das es nicht schon ist.</translation>
    </message>
    <message>
        <source>1 found. Choose it to see where.</source>
        <translation>1 gefunden. Wähle es, um zu sehen, wo.</translation>
    </message>
    <message>
        <source>{0} found. Choose one to see where.</source>
        <translation>{0} gefunden. Wähle eines, um zu sehen, wo.</translation>
    </message>
</context>
<context>
    <name>ReleasePanel</name>
    <message>
        <source>Release</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>How the files are written</source>
        <translation>Wie die Dateien geschrieben werden</translation>
    </message>
    <message>
        <source>What is written</source>
        <translation>Was geschrieben wird</translation>
    </message>
    <message>
        <source>Format</source>
        <translation>Format</translation>
    </message>
    <message>
        <source>The files, for whoever gets them: checked, played as the machine would run them, then written.</source>
        <translation>Die Dateien, für den, der sie bekommt: geprüft, abgespielt wie auf der Maschine, dann geschrieben.</translation>
    </message>
    <message>
        <source>Who gets the files. It sets the format and all that goes with it.</source>
        <translation>Wer die Dateien bekommt. Das stellt das Format ein und alles, was dazugehört.</translation>
    </message>
    <message>
        <source>The format, where another is wanted.</source>
        <translation>Das Format, wenn ein anderes gewünscht ist.</translation>
    </message>
    <message>
        <source>What is checked before anything is written; each point can be gone to and mended.</source>
        <translation>Was geprüft wird, bevor etwas geschrieben wird; jeder Punkt führt hin und lässt sich ausbessern.</translation>
    </message>
    <message>
        <source>Files are made, read back and played; nothing is written.</source>
        <translation>Dateien werden gemacht, zurückgelesen und abgespielt; geschrieben wird nichts.</translation>
    </message>
    <message>
        <source>Writes them. What is there already is asked about once.</source>
        <translation>Schreibt sie. Was schon da ist, wird einmal erfragt.</translation>
    </message>
    <message>
        <source>Which layers are written, and what beside them.</source>
        <translation>Welche Ebenen geschrieben werden und was daneben.</translation>
    </message>
    <message>
        <source>dialect of machine code</source>
        <translation>Dialekt des Maschinencodes</translation>
    </message>
    <message>
        <source>All of it in one folder</source>
        <translation>Alles in einem Ordner</translation>
    </message>
    <message>
        <source>Look at the files first</source>
        <translation>Die Dateien erst ansehen</translation>
    </message>
    <message>
        <source>Made, read back and played as the machine would run them; nothing is written</source>
        <translation>Gemacht, zurückgelesen und abgespielt, wie die Maschine sie führe; nichts wird geschrieben</translation>
    </message>
    <message>
        <source>Keep this for the next work</source>
        <translation>Für die nächste Arbeit behalten</translation>
    </message>
    <message>
        <source>Format, files and settings, for whoever is chosen above</source>
        <translation>Format, Dateien und Einstellungen, für wen oben gewählt ist</translation>
    </message>
    <message>
        <source>for {0}</source>
        <translation>für {0}</translation>
    </message>
    <message>
        <source>the page to approve</source>
        <translation>die Seite zur Freigabe</translation>
    </message>
    <message>
        <source>the folder</source>
        <translation>den Ordner</translation>
    </message>
    <message>
        <source>Write {0}…</source>
        <translation>{0} schreiben …</translation>
    </message>
    <message>
        <source>One file</source>
        <translation>Eine Datei</translation>
    </message>
    <message>
        <source>Per layer</source>
        <translation>Je Ebene</translation>
    </message>
    <message>
        <source>Per piece</source>
        <translation>Je Teil</translation>
    </message>
    <message>
        <source>Per design</source>
        <translation>Je Entwurf</translation>
    </message>
    <message>
        <source>Versions</source>
        <translation>Fassungen</translation>
    </message>
    <message>
        <source>Per sheet</source>
        <translation>Je Bogen</translation>
    </message>
    <message>
        <source>Files</source>
        <translation>Dateien</translation>
    </message>
    <message>
        <source>Also write the report (JSON)</source>
        <translation>Auch den Bericht schreiben (JSON)</translation>
    </message>
    <message>
        <source>Every piece with its number where it goes, and the order of work, to print</source>
        <translation>Jedes Teil mit seiner Nummer, wo es hinkommt, und die Reihenfolge der Arbeit, zum Drucken</translation>
    </message>
    <message>
        <source>Marks on every sheet, to lay them by</source>
        <translation>Marken zum Legen auf jedem Bogen</translation>
    </message>
    <message>
        <source>Three round holes beside the work, so that no sheet can be laid turned or turned over, and the sheet&apos;s number in the fourth corner</source>
        <translation>Drei runde Löcher neben der Arbeit, damit kein Bogen verdreht oder umgedreht gelegt wird, und die Nummer des Bogens in der vierten Ecke</translation>
    </message>
    <message>
        <source>marks on the sheets</source>
        <translation>Marken auf den Bogen</translation>
    </message>
    <message>
        <source>Layer</source>
        <translation>Ebene</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Holes</source>
        <translation>Löcher</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Layers that will be written</source>
        <translation>Ebenen, die geschrieben werden</translation>
    </message>
    <message>
        <source>All layers in one file, base first</source>
        <translation>Alle Ebenen in einer Datei, die unterste zuerst</translation>
    </message>
    <message>
        <source>A page to approve</source>
        <translation>Eine Seite zur Freigabe</translation>
    </message>
    <message>
        <source>Pages to print, and their cuts</source>
        <translation>Seiten zum Drucken und ihre Schnitte</translation>
    </message>
    <message>
        <source>pages and cuts</source>
        <translation>Seiten und Schnitte</translation>
    </message>
    <message>
        <source>A file a layer, all on the same page so that they line up</source>
        <translation>Eine Datei je Ebene, alle auf derselben Seite, damit sie passen</translation>
    </message>
    <message>
        <source>A file a piece, each where it goes on the page</source>
        <translation>Eine Datei je Stück, jedes an seinem Platz auf der Seite</translation>
    </message>
    <message>
        <source>A file for each of several designs on the page; what is 6 mm apart is another design</source>
        <translation>Eine Datei für jeden von mehreren Entwürfen auf der Seite; was 6 mm entfernt ist, ist ein anderer Entwurf</translation>
    </message>
    <message>
        <source>The work and all alternatives kept of it in one file, side by side, each an object of its own; they are kept in the strip of variants (V)</source>
        <translation>Die Arbeit und alle ihre behaltenen Varianten in einer Datei nebeneinander, jede ein eigenes Objekt; sie liegen im Streifen der Varianten (V)</translation>
    </message>
    <message>
        <source>A file for each sheet that goes into the machine, as planned under Sheets</source>
        <translation>Eine Datei für jeden Bogen, der in die Maschine kommt, wie unter Bögen geplant</translation>
    </message>
    <message>
        <source>Also write the laying plan (SVG, PDF)</source>
        <translation>Auch den Legeplan schreiben (SVG, PDF)</translation>
    </message>
    <message>
        <source>Choose where, then write (Ctrl+E)</source>
        <translation>Wähle wohin, dann wird geschrieben (Strg+E)</translation>
    </message>
    <message>
        <source>Files can be written once the exact result is there.</source>
        <translation>Dateien können geschrieben werden, sobald das genaue Ergebnis da ist.</translation>
    </message>
    <message>
        <source>On shared sheets…</source>
        <translation>Auf gemeinsame Bogen …</translation>
    </message>
    <message>
        <source>With other works or pictures: one file a sheet, with the parts of all of them cut from it</source>
        <translation>Mit anderen Arbeiten oder Bildern: eine Datei je Bogen, mit den Teilen aller, die daraus geschnitten werden</translation>
    </message>
    <message>
        <source>Copy as SVG</source>
        <translation>Als SVG kopieren</translation>
    </message>
    <message>
        <source>To paste it into another program</source>
        <translation>Um es in ein anderes Programm einzufügen</translation>
    </message>
    <message>
        <source>Drag it out as a file</source>
        <translation>Als Datei hinausziehen</translation>
    </message>
    <message>
        <source>Open the folder</source>
        <translation>Ordner öffnen</translation>
    </message>
    <message>
        <source>Before you cut</source>
        <translation>Bevor du schneidest</translation>
    </message>
    <message>
        <source>Page</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>Layering</source>
        <translation>Schichtung</translation>
    </message>
    <message>
        <source>stacked</source>
        <translation>gestapelt</translation>
    </message>
    <message>
        <source>fitted</source>
        <translation>eingepasst</translation>
    </message>
    <message>
        <source>windowed</source>
        <translation>gefenstert</translation>
    </message>
    <message>
        <source>lean</source>
        <translation>sparsam</translation>
    </message>
    <message>
        <source>on a base</source>
        <translation>auf einer Basis</translation>
    </message>
    <message>
        <source>Nodes</source>
        <translation>Knoten</translation>
    </message>
    <message>
        <source>Weeding cuts</source>
        <translation>Entgitterschnitte</translation>
    </message>
    <message>
        <source>1 hidden layer is written, too.</source>
        <translation>1 verborgene Ebene wird auch geschrieben.</translation>
    </message>
    <message>
        <source>{0} hidden layers are written, too.</source>
        <translation>{0} verborgene Ebenen werden auch geschrieben.</translation>
    </message>
    <message>
        <source> and {0} more</source>
        <translation> und {0} weitere</translation>
    </message>
    <message>
        <source>Written: {0}</source>
        <translation>Geschrieben: {0}</translation>
    </message>
</context>
<context>
    <name>RimsBox</name>
    <message>
        <source>Backing</source>
        <translation>Unterlage</translation>
    </message>
    <message>
        <source>A sheet below everything, that much larger</source>
        <translation>Ein Bogen unter allem, so viel größer</translation>
    </message>
    <message>
        <source>Rim</source>
        <translation>Rand</translation>
    </message>
    <message>
        <source>A band around, with the work cut out of it</source>
        <translation>Ein Band ringsum, aus dem die Arbeit ausgeschnitten ist</translation>
    </message>
    <message>
        <source>Inner line</source>
        <translation>Innenlinie</translation>
    </message>
    <message>
        <source>A line of a width that far within the edge: a groove, a stitching line</source>
        <translation>Eine Linie von einer Breite, so weit innerhalb der Kante: eine Rille, eine Stichlinie</translation>
    </message>
    <message>
        <source>Underlay</source>
        <translation>Unterdruck</translation>
    </message>
    <message>
        <source>A sheet below, that much smaller, only where what the work is laid on (Layers) would shine through</source>
        <translation>Ein Bogen darunter, so viel kleiner, nur wo das durchschiene, worauf die Arbeit liegt (Ebenen)</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>What it goes around</source>
        <translation>Worum es läuft</translation>
    </message>
    <message>
        <source>Distance; 0 gives the silhouette itself</source>
        <translation>Abstand; 0 gibt die Silhouette selbst</translation>
    </message>
    <message>
        <source>Width of the line</source>
        <translation>Breite der Linie</translation>
    </message>
    <message>
        <source>A groove: cut out of what lies there</source>
        <translation>Eine Rille: aus dem geschnitten, was dort liegt</translation>
    </message>
    <message>
        <source>Instead of a sheet of its own; it is kept under “Shapes and words”</source>
        <translation>Statt eines eigenen Bogens; sie steht unter „Formen und Wörter“</translation>
    </message>
    <message>
        <source>Line width</source>
        <translation>Linienbreite</translation>
    </message>
    <message>
        <source>Round</source>
        <translation>Rund</translation>
    </message>
    <message>
        <source>Corners are rounded</source>
        <translation>Ecken werden gerundet</translation>
    </message>
    <message>
        <source>Sharp</source>
        <translation>Scharf</translation>
    </message>
    <message>
        <source>Corners stay corners</source>
        <translation>Ecken bleiben Ecken</translation>
    </message>
    <message>
        <source>Corners</source>
        <translation>Ecken</translation>
    </message>
    <message>
        <source>Holes stay open</source>
        <translation>Löcher bleiben offen</translation>
    </message>
    <message>
        <source>Otherwise what is enclosed is filled</source>
        <translation>Sonst wird gefüllt, was umschlossen ist</translation>
    </message>
    <message>
        <source>Colour…</source>
        <translation>Farbe …</translation>
    </message>
    <message>
        <source>What its sheet is cut from</source>
        <translation>Woraus sein Bogen geschnitten wird</translation>
    </message>
    <message>
        <source>Add it</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>It becomes a sheet of its own in every figure and file</source>
        <translation>Es wird ein eigener Bogen in jeder Zahl und Datei</translation>
    </message>
    <message>
        <source>Backings, rims and inner lines, the latest first</source>
        <translation>Unterlagen, Ränder und Innenlinien, das Letzte zuerst</translation>
    </message>
    <message>
        <source>rim</source>
        <translation>Rand</translation>
    </message>
    <message>
        <source>Around</source>
        <translation>Ringsum</translation>
    </message>
    <message>
        <source>Distance</source>
        <translation>Abstand</translation>
    </message>
    <message>
        <source>Around holes too</source>
        <translation>Auch um Löcher</translation>
    </message>
    <message>
        <source>A sheet that was added is no region to cut out of; its groove is a line of its own</source>
        <translation>Aus einer hinzugefügten Ebene lässt sich nichts ausschneiden; ihre Nut ist eine eigene Linie</translation>
    </message>
    <message>
        <source>Colour of the sheet</source>
        <translation>Farbe des Bogens</translation>
    </message>
    <message>
        <source>added {0}</source>
        <translation>{0} hinzugefügt</translation>
    </message>
    <message>
        <source>backing</source>
        <translation>Unterlage</translation>
    </message>
    <message>
        <source>inner line</source>
        <translation>Innenlinie</translation>
    </message>
    <message>
        <source>underlay</source>
        <translation>Unterdruck</translation>
    </message>
    <message>
        <source>Everything together</source>
        <translation>Alles zusammen</translation>
    </message>
    <message>
        <source>No material said</source>
        <translation>Kein Material genannt</translation>
    </message>
    <message>
        <source>{0}, {1:g} mm</source>
        <translation>{0}, {1:g} mm</translation>
    </message>
    <message>
        <source>{0}, {1}</source>
        <translation>{0}, {1}</translation>
    </message>
    <message>
        <source>Nothing is left at one of these distances.</source>
        <translation>Bei einem dieser Abstände bleibt nichts übrig.</translation>
    </message>
    <message>
        <source>Nothing is left at {0} of these distances.</source>
        <translation>Bei {0} dieser Abstände bleibt nichts übrig.</translation>
    </message>
</context>
<context>
    <name>ScannerDialog</name>
    <message>
        <source>Simulated scanner</source>
        <translation>Simulierter Scanner</translation>
    </message>
    <message>
        <source>Scan “{0}”</source>
        <translation>„{0}“ scannen</translation>
    </message>
    <message>
        <source>No device is used. The picture is laid on a glass that the program makes up, so that preparing a scan can be tried. The scan opens as a new work.</source>
        <translation>Kein Gerät wird benutzt. Das Bild wird auf ein Glas gelegt, das das Programm sich ausdenkt, damit sich das Vorbereiten eines Scans üben lässt. Der Scan öffnet sich als neue Arbeit.</translation>
    </message>
    <message>
        <source>Resolution</source>
        <translation>Auflösung</translation>
    </message>
    <message>
        <source>Width on the glass</source>
        <translation>Breite auf dem Glas</translation>
    </message>
    <message>
        <source>Laid askew</source>
        <translation>Schief aufgelegt</translation>
    </message>
    <message>
        <source>Light falls off by</source>
        <translation>Licht fällt ab um</translation>
    </message>
    <message>
        <source>Dust on the glass</source>
        <translation>Staub auf dem Glas</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Lassen</translation>
    </message>
    <message>
        <source>Scan</source>
        <translation>Scannen</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keiner</translation>
    </message>
    <message>
        <source>a little</source>
        <translation>ein wenig</translation>
    </message>
    <message>
        <source>some</source>
        <translation>etwas</translation>
    </message>
    <message>
        <source>much</source>
        <translation>viel</translation>
    </message>
    <message>
        <source>{0} dpi</source>
        <translation>{0} dpi</translation>
    </message>
    <message>
        <source>{0:.0f} mm</source>
        <translation>{0:.0f} mm</translation>
    </message>
    <message>
        <source>{0:.1f}°</source>
        <translation>{0:.1f}°</translation>
    </message>
</context>
<context>
    <name>SeamBox</name>
    <message>
        <source>Move the seam</source>
        <translation>Die Naht verschieben</translation>
    </message>
    <message>
        <source>The best seam again</source>
        <translation>Wieder die beste Naht</translation>
    </message>
    <message>
        <source>Where it is seen least</source>
        <translation>Wo es am wenigsten zu sehen ist</translation>
    </message>
    <message>
        <source>It parts nothing there.</source>
        <translation>Dort teilt sie nichts.</translation>
    </message>
    <message>
        <source> and </source>
        <translation> und </translation>
    </message>
    <message>
        <source>{0}; {1} of the seam are seen, {2} where it is now</source>
        <translation>{0}; {1} der Naht sind zu sehen, {2} wo sie jetzt ist</translation>
    </message>
    <message>
        <source>One of them fits no carrier.</source>
        <translation>Einer davon passt auf keinen Träger.</translation>
    </message>
</context>
<context>
    <name>Searching</name>
    <message>
        <source>what is chosen</source>
        <translation>das Gewählte</translation>
    </message>
    <message>
        <source>{0}, in {1}</source>
        <translation>{0}, in {1}</translation>
    </message>
    <message>
        <source>cannot be done now</source>
        <translation>geht jetzt nicht</translation>
    </message>
    <message>
        <source>Choose it on the bench first ({0}); then: {1}{2}.</source>
        <translation>Wähl es zuerst auf der Werkbank ({0}); dann: {1}{2}.</translation>
    </message>
    <message>
        <source>on</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>everywhere</source>
        <translation>überall</translation>
    </message>
</context>
<context>
    <name>SectionStrip</name>
    <message>
        <source>Thickness of a sheet</source>
        <translation>Dicke eines Bogens</translation>
    </message>
    <message>
        <source>Spacer below each sheet, but the base</source>
        <translation>Abstandhalter unter jedem Bogen außer der Basis</translation>
    </message>
    <message>
        <source>&lt;b&gt;Section&lt;/b&gt;  drag the line on the bench</source>
        <translation>&lt;b&gt;Seitenschnitt&lt;/b&gt;  ziehe die Linie auf der Werkbank</translation>
    </message>
    <message>
        <source>Sheet</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Spacer</source>
        <translation>Abstandhalter</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
</context>
<context>
    <name>SectionTool</name>
    <message>
        <source>Drag the line, or an end of it. Esc closes the section.</source>
        <translation>Ziehe die Linie oder ein Ende. Esc schließt den Seitenschnitt.</translation>
    </message>
</context>
<context>
    <name>Session</name>
    <message>
        <source>Opening {0}</source>
        <translation>{0} wird geöffnet</translation>
    </message>
    <message>
        <source>Opening {0} pictures</source>
        <translation>{0} Bilder werden geöffnet</translation>
    </message>
    <message>
        <source>Mending</source>
        <translation>Wird behoben</translation>
    </message>
    <message>
        <source>Saving {0}</source>
        <translation>{0} wird gespeichert</translation>
    </message>
    <message>
        <source>mended finding</source>
        <translation>Befund behoben</translation>
    </message>
    <message>
        <source>mended all findings of a kind</source>
        <translation>alle Befunde einer Art behoben</translation>
    </message>
</context>
<context>
    <name>SettingsTable</name>
    <message>
        <source>A copy of the chosen one, or of the first</source>
        <translation>Eine Kopie des gewählten oder des ersten</translation>
    </message>
    <message>
        <source>Take it out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The chosen row</source>
        <translation>Die gewählte Zeile</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>The plain kinds that come with the program</source>
        <translation>Die schlichten Arten, die mit dem Programm kommen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Changes that were not kept are left</source>
        <translation>Änderungen, die nicht behalten wurden, verfallen</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>The table is used from now on</source>
        <translation>Die Tabelle gilt von jetzt an</translation>
    </message>
    <message>
        <source>{0} of {1}</source>
        <translation>{0} von {1}</translation>
    </message>
    <message>
        <source>these are numbers.</source>
        <translation>das sind Zahlen.</translation>
    </message>
    <message>
        <source>Row {0}: {1}</source>
        <translation>Zeile {0}: {1}</translation>
    </message>
    <message>
        <source>{0}, another</source>
        <translation>{0}, noch eines</translation>
    </message>
</context>
<context>
    <name>Shades</name>
    <message>
        <source>{0} of the picture</source>
        <translation>{0} des Bildes</translation>
    </message>
    <message>
        <source>{0} colours</source>
        <translation>{0} Farben</translation>
    </message>
    <message>
        <source>{0} regions</source>
        <translation>{0} Flächen</translation>
    </message>
</context>
<context>
    <name>Shape</name>
    <message>
        <source>The shape of the rest</source>
        <translation>Die Form des Restes</translation>
    </message>
</context>
<context>
    <name>ShapeTool</name>
    <message>
        <source>Drag the shape, its corners or the handle above it. Arrow keys move it by a pixel. Esc ends.</source>
        <translation>Ziehe die Form, ihre Ecken oder den Griff darüber. Pfeiltasten bewegen sie um einen Pixel. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>ShapeTools</name>
    <message>
        <source>Move and turn</source>
        <translation>Bewegen und drehen</translation>
    </message>
    <message>
        <source>Drag the chosen shape; its corners make it larger, the round handle turns it</source>
        <translation>Ziehe die gewählte Form; ihre Ecken machen sie größer, der runde Griff dreht sie</translation>
    </message>
    <message>
        <source>How many around a place or along a line</source>
        <translation>Wie viele um eine Stelle oder entlang einer Linie</translation>
    </message>
    <message>
        <source>Copies</source>
        <translation>Exemplare</translation>
    </message>
    <message>
        <source>Around a place…</source>
        <translation>Um eine Stelle …</translation>
    </message>
    <message>
        <source>Repeats the chosen shape around the place clicked</source>
        <translation>Wiederholt die gewählte Form um die geklickte Stelle</translation>
    </message>
    <message>
        <source>Along a line…</source>
        <translation>Entlang einer Linie …</translation>
    </message>
    <message>
        <source>Repeats the chosen shape along the line drawn</source>
        <translation>Wiederholt die gewählte Form entlang der gezeichneten Linie</translation>
    </message>
    <message>
        <source>Size of the chosen, per cent of what it is</source>
        <translation>Größe der Gewählten, in Prozent dessen, was sie ist</translation>
    </message>
    <message>
        <source>Turn of the chosen, degrees clockwise</source>
        <translation>Drehung der Gewählten, in Grad im Uhrzeigersinn</translation>
    </message>
    <message>
        <source>Scale and turn</source>
        <translation>Vergrößern und drehen</translation>
    </message>
    <message>
        <source>All that are chosen, about their middle</source>
        <translation>Alle gewählten, um ihre Mitte</translation>
    </message>
    <message>
        <source>More</source>
        <translation>Mehr</translation>
    </message>
    <message>
        <source>Turn over</source>
        <translation>Umdrehen</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>Thicker</source>
        <translation>Dicker</translation>
    </message>
    <message>
        <source>Thinner</source>
        <translation>Dünner</translation>
    </message>
    <message>
        <source>Lay higher</source>
        <translation>Höher legen</translation>
    </message>
    <message>
        <source>Lay lower</source>
        <translation>Tiefer legen</translation>
    </message>
    <message>
        <source>Join the chosen</source>
        <translation>Gewählte verbinden</translation>
    </message>
    <message>
        <source>Cut the later out of the first</source>
        <translation>Spätere aus der ersten ausschneiden</translation>
    </message>
    <message>
        <source>Keep what they have in common</source>
        <translation>Gemeinsames behalten</translation>
    </message>
    <message>
        <source>Middles on an upright line</source>
        <translation>Mitten auf eine senkrechte Linie</translation>
    </message>
    <message>
        <source>Middles on a level line</source>
        <translation>Mitten auf eine waagerechte Linie</translation>
    </message>
</context>
<context>
    <name>Shapes</name>
    <message>
        <source>{0} shapes</source>
        <translation>{0} Formen</translation>
    </message>
    <message>
        <source>word {0}</source>
        <translation>Wort {0}</translation>
    </message>
    <message>
        <source>word {0}, cut out</source>
        <translation>Wort {0}, ausgeschnitten</translation>
    </message>
    <message>
        <source>shape “{0}”</source>
        <translation>Form „{0}“</translation>
    </message>
    <message>
        <source>shape “{0}”, cut out</source>
        <translation>Form „{0}“, ausgeschnitten</translation>
    </message>
    <message>
        <source>{0} · {1}</source>
        <translation>{0} · {1}</translation>
    </message>
</context>
<context>
    <name>ShapesBox</name>
    <message>
        <source>Colour of what is laid on</source>
        <translation>Farbe dessen, was aufgelegt wird</translation>
    </message>
    <message>
        <source>Radius of the corners</source>
        <translation>Radius der Ecken</translation>
    </message>
    <message>
        <source>Points of the star, corners of the polygon</source>
        <translation>Zacken des Sterns, Ecken des Vielecks</translation>
    </message>
    <message>
        <source>Width of lines and bows</source>
        <translation>Breite von Linien und Bögen</translation>
    </message>
    <message>
        <source>As wide as drawn</source>
        <translation>So breit wie gezeichnet</translation>
    </message>
    <message>
        <source>A line or bow gets the width of what is drawn there, measured along it; else the width given here</source>
        <translation>Eine Linie oder ein Bogen bekommt die Breite dessen, was dort gezeichnet ist, entlang gemessen; sonst die hier angegebene</translation>
    </message>
    <message>
        <source>Round ends</source>
        <translation>Runde Enden</translation>
    </message>
    <message>
        <source>Circle…</source>
        <translation>Kreis …</translation>
    </message>
    <message>
        <source>Drag a box; the circle fills it</source>
        <translation>Ziehe ein Rechteck; der Kreis füllt es</translation>
    </message>
    <message>
        <source>Rectangle…</source>
        <translation>Rechteck …</translation>
    </message>
    <message>
        <source>Drag a box; the corners are rounded by the radius</source>
        <translation>Ziehe ein Rechteck; die Ecken werden mit dem Radius gerundet</translation>
    </message>
    <message>
        <source>Star…</source>
        <translation>Stern …</translation>
    </message>
    <message>
        <source>Drag a box; the star fills it</source>
        <translation>Ziehe ein Rechteck; der Stern füllt es</translation>
    </message>
    <message>
        <source>Polygon…</source>
        <translation>Vieleck …</translation>
    </message>
    <message>
        <source>Drag a box; the polygon fills it</source>
        <translation>Ziehe ein Rechteck; das Vieleck füllt es</translation>
    </message>
    <message>
        <source>Path along edges…</source>
        <translation>Pfad an Kanten …</translation>
    </message>
    <message>
        <source>Click from place to place; it follows the picture&apos;s edges in between</source>
        <translation>Klicke von Stelle zu Stelle; dazwischen folgt er den Kanten des Bildes</translation>
    </message>
    <message>
        <source>Line…</source>
        <translation>Linie…</translation>
    </message>
    <message>
        <source>Bow…</source>
        <translation>Bogen…</translation>
    </message>
    <message>
        <source>Area…</source>
        <translation>Fläche…</translation>
    </message>
    <message>
        <source>Draw round it by hand; the inside is filled, or cut out</source>
        <translation>Von Hand umfahren; das Innere wird gefüllt oder ausgeschnitten</translation>
    </message>
    <message>
        <source>From a region…</source>
        <translation>Von einer Fläche …</translation>
    </message>
    <message>
        <source>Click a region: its outline becomes a shape that can be moved and copied</source>
        <translation>Klicke eine Fläche an: ihr Umriss wird eine Form, die sich verschieben und kopieren lässt</translation>
    </message>
    <message>
        <source>My figures</source>
        <translation>Meine Figuren</translation>
    </message>
    <message>
        <source>Figures you have kept, for this work and later ones</source>
        <translation>Figuren, die Sie behalten haben, für diese Arbeit und spätere</translation>
    </message>
    <message>
        <source>Drag a box; the figure fills it</source>
        <translation>Ein Feld aufziehen; die Figur füllt es</translation>
    </message>
    <message>
        <source>None kept yet: choose a shape and keep it</source>
        <translation>Noch keine behalten: eine Form wählen und behalten</translation>
    </message>
    <message>
        <source>Keep the chosen shape as a figure…</source>
        <translation>Die gewählte Form als Figur behalten …</translation>
    </message>
    <message>
        <source>Take one out</source>
        <translation>Eine herausnehmen</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Wörter</translation>
    </message>
    <message>
        <source>Words to lay on</source>
        <translation>Wörter zum Auflegen</translation>
    </message>
    <message>
        <source>Enter, then a click where their middle is to be</source>
        <translation>Enter, dann ein Klick, wo ihre Mitte sein soll</translation>
    </message>
    <message>
        <source>Font</source>
        <translation>Schrift</translation>
    </message>
    <message>
        <source>Size of the letters</source>
        <translation>Größe der Buchstaben</translation>
    </message>
    <message>
        <source>Place…</source>
        <translation>Platzieren …</translation>
    </message>
    <message>
        <source>Click where the middle of the words is to be</source>
        <translation>Klicke dorthin, wo die Mitte der Wörter sein soll</translation>
    </message>
    <message>
        <source>Along a path…</source>
        <translation>An einem Pfad …</translation>
    </message>
    <message>
        <source>Draw the line the words stand on</source>
        <translation>Zeichne die Linie, auf der die Wörter stehen</translation>
    </message>
    <message>
        <source>Shapes laid on, the latest first</source>
        <translation>Aufgelegte Formen, die letzte zuerst</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>coloured shape</source>
        <translation>gefärbte Form</translation>
    </message>
    <message>
        <source>Where it is laid on</source>
        <translation>Wo es aufgelegt wird</translation>
    </message>
    <message>
        <source>Regions are chosen under “Several regions”; they count with all they enclose</source>
        <translation>Flächen werden unter „Mehrere Flächen“ gewählt; sie zählen mit allem, was sie einschließen</translation>
    </message>
    <message>
        <source>Everywhere</source>
        <translation>Überall</translation>
    </message>
    <message>
        <source>Only on the chosen regions</source>
        <translation>Nur auf den gewählten Flächen</translation>
    </message>
    <message>
        <source>Not on the chosen regions</source>
        <translation>Nicht auf den gewählten Flächen</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Where</source>
        <translation>Wo</translation>
    </message>
    <message>
        <source>Corners</source>
        <translation>Ecken</translation>
    </message>
    <message>
        <source>Radius</source>
        <translation>Radius</translation>
    </message>
    <message>
        <source>Line width</source>
        <translation>Linienbreite</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Draw it by hand, or click from point to point; it gets the width below. Esc ends.</source>
        <translation>Von Hand zeichnen oder von Punkt zu Punkt klicken; sie bekommt die Breite unten. Esc beendet.</translation>
    </message>
    <message>
        <source>Click both ends, then a place it passes through: an even bar, spine or stripe. Esc ends.</source>
        <translation>Beide Enden klicken, dann eine Stelle, durch die er geht: ein gleichmäßiger Balken, Rücken oder Streifen. Esc beendet.</translation>
    </message>
    <message>
        <source>Cut out of all sheets</source>
        <translation>Aus allen Bogen ausgeschnitten</translation>
    </message>
    <message>
        <source>Another colour…</source>
        <translation>Eine andere Farbe …</translation>
    </message>
    <message>
        <source>{0}, cut out</source>
        <translation>{0}, ausgeschnitten</translation>
    </message>
</context>
<context>
    <name>SheetList</name>
    <message>
        <source>Layers, the uppermost first</source>
        <translation>Ebenen, die oberste zuerst</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>nothing to cut</source>
        <translation>nichts zu schneiden</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>{0}, {1}</source>
        <translation>{0}, {1}</translation>
    </message>
    <message>
        <source> · base</source>
        <translation> · Basis</translation>
    </message>
    <message>
        <source> · locked</source>
        <translation> · gesperrt</translation>
    </message>
    <message>
        <source> · hidden</source>
        <translation> · verborgen</translation>
    </message>
    <message>
        <source> · {0}</source>
        <translation> · {0}</translation>
    </message>
</context>
<context>
    <name>SheetView</name>
    <message>
        <source>The sheet on its carrier</source>
        <translation>Der Bogen auf seinem Träger</translation>
    </message>
    <message>
        <source>Nothing is planned yet.</source>
        <translation>Noch ist nichts geplant.</translation>
    </message>
    <message>
        <source>mirrored, as the film is cut from behind</source>
        <translation>gespiegelt, denn die Folie wird von hinten geschnitten</translation>
    </message>
    <message>
        <source>▲ this edge goes in first</source>
        <translation>▲ diese Kante geht zuerst hinein</translation>
    </message>
    <message>
        <source>{0} of {1}</source>
        <translation>{0} von {1}</translation>
    </message>
    <message>
        <source>Drag the seam: what both parts then are is said while it moves.</source>
        <translation>Die Naht ziehen: Wie beide Teile dann sind, wird dabei gesagt.</translation>
    </message>
    <message>
        <source>{0} parts chosen. Drag one and all go with it, or onto another sheet in the strip.</source>
        <translation>{0} Teile gewählt. Eines ziehen, und alle gehen mit, oder auf einen anderen Bogen im Streifen.</translation>
    </message>
    <message>
        <source>Drag a part to another place, or onto another sheet in the strip; Shift and a click chooses several. Page up and Page down: the sheets.</source>
        <translation>Ein Teil an eine andere Stelle ziehen oder auf einen anderen Bogen im Streifen; Umschalt und Klick wählt mehrere. Bild auf und Bild ab: die Bögen.</translation>
    </message>
    <message>
        <source>Test cut</source>
        <translation>Probeschnitt</translation>
    </message>
    <message>
        <source>{0}: {1} × {2}, {3} from the left, {4} from the top</source>
        <translation>{0}: {1} × {2}, {3} von links, {4} von oben</translation>
    </message>
    <message>
        <source>hangs over the edge</source>
        <translation>ragt über den Rand</translation>
    </message>
    <message>
        <source>nearer than {0} to another</source>
        <translation>näher als {0} an einem anderen</translation>
    </message>
    <message>
        <source>put here by hand</source>
        <translation>von Hand hierher gelegt</translation>
    </message>
</context>
<context>
    <name>SheetsPanel</name>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Copies</source>
        <translation>Exemplare</translation>
    </message>
    <message>
        <source>copies</source>
        <translation>Exemplare</translation>
    </message>
    <message>
        <source>Show the route of the tool</source>
        <translation>Den Weg des Werkzeugs zeigen</translation>
    </message>
    <message>
        <source>This sheet</source>
        <translation>Dieses Blatt</translation>
    </message>
    <message>
        <source>Carving</source>
        <translation>Schnitzen</translation>
    </message>
    <message>
        <source>The blank</source>
        <translation>Der Rohling</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Time and cost</source>
        <translation>Zeit und Kosten</translation>
    </message>
    <message>
        <source>Rests to use up</source>
        <translation>Reste aufbrauchen</translation>
    </message>
    <message>
        <source>The order of laying</source>
        <translation>Die Folge des Legens</translation>
    </message>
    <message>
        <source>How parts are placed</source>
        <translation>Wie Teile platziert werden</translation>
    </message>
    <message>
        <source>What goes into the machine: parts placed on its carriers, divided where they are too large, with the time, film and cost they take.</source>
        <translation>Was in die Maschine kommt: Teile auf ihren Trägern, geteilt, wo sie zu groß sind, mit Zeit, Folie und Kosten.</translation>
    </message>
    <message>
        <source>Which machine cuts, and with what carrier. The table of machines can be changed.</source>
        <translation>Welche Maschine schneidet und mit welchem Träger. Die Tabelle der Maschinen lässt sich ändern.</translation>
    </message>
    <message>
        <source>How often the work is cut.</source>
        <translation>Wie oft das Werk geschnitten wird.</translation>
    </message>
    <message>
        <source>The sheet that is seen: how much of it is used, how long it cuts.</source>
        <translation>Der Bogen, der zu sehen ist: wie viel davon genutzt wird, wie lange er schneidet.</translation>
    </message>
    <message>
        <source>The chosen part can be turned, dragged to another place or sheet, or placed anew.</source>
        <translation>Das gewählte Teil lässt sich drehen, an eine andere Stelle oder auf einen anderen Bogen ziehen oder neu legen.</translation>
    </message>
    <message>
        <source>The largest size that fits a place, a carrier, or the smallest detail.</source>
        <translation>Die größte Größe, die an einen Ort, auf einen Träger oder zum kleinsten Detail passt.</translation>
    </message>
    <message>
        <source>Minutes and prices, from your own rates.</source>
        <translation>Minuten und Preise, nach deinen eigenen Sätzen.</translation>
    </message>
    <message>
        <source>Carrier</source>
        <translation>Träger</translation>
    </message>
    <message>
        <source>Used</source>
        <translation>Genutzt</translation>
    </message>
    <message>
        <source>{0} %</source>
        <translation>{0} %</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Travel</source>
        <translation>Leerwege</translation>
    </message>
    <message>
        <source>{0}, {1} in the order of the file</source>
        <translation>{0}; {1} in der Folge der Datei</translation>
    </message>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>{0} s</source>
        <translation>{0} s</translation>
    </message>
</context>
<context>
    <name>SheetsStrip</name>
    <message>
        <source>Good enough</source>
        <translation>Gut genug</translation>
    </message>
    <message>
        <source>Stop looking for a better plan; the best so far stays</source>
        <translation>Nicht weiter suchen; der bisher beste Plan bleibt</translation>
    </message>
    <message>
        <source>Sheets of the plan</source>
        <translation>Bögen des Plans</translation>
    </message>
    <message>
        <source>{0}, {1} % used</source>
        <translation>{0}, {1} % genutzt</translation>
    </message>
    <message>
        <source>1 part</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} parts</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>cut {0}, {1}</source>
        <translation>Schnitt {0}, {1}</translation>
    </message>
    <message>
        <source>1 sheet</source>
        <translation>1 Bogen</translation>
    </message>
    <message>
        <source>{0} sheets</source>
        <translation>{0} Bogen</translation>
    </message>
    <message>
        <source>cutting {0}</source>
        <translation>Schneiden {0}</translation>
    </message>
    <message>
        <source>{0} to {1} with weeding and laying</source>
        <translation>{0} bis {1} mit Entgittern und Legen</translation>
    </message>
    <message>
        <source>{0} % unused</source>
        <translation>{0} % ungenutzt</translation>
    </message>
    <message>
        <source>costs {0}</source>
        <translation>kostet {0}</translation>
    </message>
    <message>
        <source>1 part fits nowhere</source>
        <translation>1 Teil passt nirgends</translation>
    </message>
    <message>
        <source>{0} parts fit nowhere</source>
        <translation>{0} Teile passen nirgends</translation>
    </message>
    <message>
        <source>Looking for a better plan …</source>
        <translation>Suche einen besseren Plan …</translation>
    </message>
</context>
<context>
    <name>SizeBox</name>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>The place it goes</source>
        <translation>Der Platz, wohin es kommt</translation>
    </message>
    <message>
        <source>As large as a place takes …</source>
        <translation>So groß, wie ein Platz es fasst …</translation>
    </message>
    <message>
        <source>As small as its details bear</source>
        <translation>So klein, wie die Details es vertragen</translation>
    </message>
    <message>
        <source>The least size at which the narrowest place of every layer survives its material</source>
        <translation>Die kleinste Größe, bei der die schmalste Stelle jeder Ebene ihr Material übersteht</translation>
    </message>
    <message>
        <source>How each layer fits a carrier at this size</source>
        <translation>Wie jede Ebene in dieser Größe auf einen Träger passt</translation>
    </message>
    <message>
        <source>fits, turned</source>
        <translation>passt, gedreht</translation>
    </message>
    <message>
        <source>fits</source>
        <translation>passt</translation>
    </message>
    <message>
        <source>divided into {0} parts</source>
        <translation>in {0} Teile geteilt</translation>
    </message>
    <message>
        <source>fits no carrier</source>
        <translation>passt auf keinen Träger</translation>
    </message>
    <message>
        <source>size that fits</source>
        <translation>passende Größe</translation>
    </message>
    <message>
        <source>least size</source>
        <translation>kleinste Größe</translation>
    </message>
    <message>
        <source>All layers together: {0} × {1}.</source>
        <translation>Alle Ebenen zusammen: {0} × {1}.</translation>
    </message>
</context>
<context>
    <name>SmallBox</name>
    <message>
        <source>The smallest regions</source>
        <translation>Die kleinsten Flächen</translation>
    </message>
    <message>
        <source>Do it to the chosen</source>
        <translation>Mit den gewählten tun</translation>
    </message>
    <message>
        <source>Drop, open or colour the chosen regions, as a click would</source>
        <translation>Die gewählten Flächen weglassen, öffnen oder färben, wie ein Klick es täte</translation>
    </message>
    <message>
        <source>The smallest first; keys . and , step through them on the bench.</source>
        <translation>Die kleinste zuerst; die Tasten . und , gehen sie auf der Werkbank durch.</translation>
    </message>
    <message>
        <source>{0}, {1} across</source>
        <translation>{0}, {1} groß</translation>
    </message>
</context>
<context>
    <name>SnapTool</name>
    <message>
        <source>Click along the edge; the line finds it. Shift goes straight, Backspace one back, Enter closes. Esc leaves it.</source>
        <translation>Klicke die Kante entlang; die Linie findet sie. Umschalt geht gerade, Rücktaste einen zurück, Enter schließt. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>SourcePanel</name>
    <message>
        <source>Source</source>
        <translation>Quelle</translation>
    </message>
    <message>
        <source>Open…</source>
        <translation>Öffnen …</translation>
    </message>
    <message>
        <source>Open a picture or project (Ctrl+O)</source>
        <translation>Ein Bild oder Projekt öffnen (Strg+O)</translation>
    </message>
    <message>
        <source>Paste</source>
        <translation>Einfügen</translation>
    </message>
    <message>
        <source>Paste a picture (Ctrl+V)</source>
        <translation>Ein Bild einfügen (Strg+V)</translation>
    </message>
    <message>
        <source>Finished size</source>
        <translation>Fertige Größe</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Millimetres everywhere</source>
        <translation>Überall Millimeter</translation>
    </message>
    <message>
        <source>Inches everywhere</source>
        <translation>Überall Zoll</translation>
    </message>
    <message>
        <source>Unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>Proportions are kept and all layers follow. Type 4.5in or 120 mm.</source>
        <translation>Proportionen bleiben, und alle Ebenen folgen. Tippe 4.5in oder 120 mm.</translation>
    </message>
    <message>
        <source>Judgement</source>
        <translation>Urteil</translation>
    </message>
    <message>
        <source>Scan…</source>
        <translation>Scannen…</translation>
    </message>
    <message>
        <source>A simulated scanner: lay a picture on a glass that is not there</source>
        <translation>Ein nachgebildeter Scanner: leg ein Bild auf ein Glas, das nicht da ist</translation>
    </message>
    <message>
        <source>Prepare all that helps</source>
        <translation>Alles vorbereiten, was hilft</translation>
    </message>
    <message>
        <source>Everything below that has a button of preparing; you see before and after</source>
        <translation>Alles unten, was einen Knopf zum Vorbereiten hat; du siehst vorher und nachher</translation>
    </message>
    <message>
        <source>Prepare</source>
        <translation>Vorbereiten</translation>
    </message>
    <message>
        <source>Background</source>
        <translation>Hintergrund</translation>
    </message>
    <message>
        <source>The picture, what it can give, and how large the work is to be. Nothing here changes the file.</source>
        <translation>Das Bild, was es hergibt und wie groß das Werk werden soll. Nichts hier ändert die Datei.</translation>
    </message>
    <message>
        <source>Open a picture, a drawing or a project; it can be dropped or pasted, too.</source>
        <translation>Öffne ein Bild, eine Zeichnung oder ein Projekt; es kann auch hineingezogen oder eingefügt werden.</translation>
    </message>
    <message>
        <source>What the picture can give before you spend time on it. Each point below has a button that mends it; all that helps is prepared in one go.</source>
        <translation>Was das Bild hergibt, bevor du Zeit hineinsteckst. Jeder Punkt darunter hat einen Knopf, der ihn ausbessert; alles, was hilft, wird in einem Zug vorbereitet.</translation>
    </message>
    <message>
        <source>The finished size. All layers follow; proportions are kept.</source>
        <translation>Die fertige Größe. Alle Ebenen folgen; die Verhältnisse bleiben.</translation>
    </message>
    <message>
        <source>Turned, cropped, flattened, levelled, lightened: steps that can be taken back.</source>
        <translation>Gedreht, zugeschnitten, geebnet, begradigt, aufgehellt: Schritte, die sich zurücknehmen lassen.</translation>
    </message>
    <message>
        <source>A stroke over what is to stay and one over what is to go cut a thing out of its surroundings.</source>
        <translation>Ein Strich über das, was bleibt, und einer über das, was geht, stellen eine Sache frei.</translation>
    </message>
    <message>
        <source>Page</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>page</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>Resolution it is drawn with</source>
        <translation>Auflösung, mit der es gezeichnet wird</translation>
    </message>
    <message>
        <source>{0} dpi</source>
        <translation>{0} dpi</translation>
    </message>
    <message>
        <source>resolution</source>
        <translation>Auflösung</translation>
    </message>
    <message>
        <source>Drawn at</source>
        <translation>Gezeichnet mit</translation>
    </message>
    <message>
        <source>the file&apos;s own curves</source>
        <translation>die eigenen Kurven der Datei</translation>
    </message>
    <message>
        <source>room beyond the picture</source>
        <translation>Platz um das Bild</translation>
    </message>
    <message>
        <source> of {0}</source>
        <translation> von {0}</translation>
    </message>
    <message>
        <source>Pixels per mm</source>
        <translation>Pixel je mm</translation>
    </message>
    <message>
        <source>Good up to a width of</source>
        <translation>Gut bis zu einer Breite von</translation>
    </message>
    <message>
        <source>Not known yet: the picture is still being read.</source>
        <translation>Noch nicht bekannt: das Bild wird noch gelesen.</translation>
    </message>
    <message>
        <source>Flat areas</source>
        <translation>Flache Flächen</translation>
    </message>
    <message>
        <source>Shading</source>
        <translation>Schattierung</translation>
    </message>
    <message>
        <source>Colours found</source>
        <translation>Gefundene Farben</translation>
    </message>
    <message>
        <source>not counted for this reading</source>
        <translation>für diese Lesart nicht gezählt</translation>
    </message>
    <message>
        <source>Width of soft edges</source>
        <translation>Breite weicher Kanten</translation>
    </message>
    <message>
        <source>{0:.1f} px</source>
        <translation>{0:.1f} px</translation>
    </message>
    <message>
        <source>Grain in flat areas</source>
        <translation>Korn in flachen Flächen</translation>
    </message>
    <message>
        <source>{0:.0f} of 255</source>
        <translation>{0:.0f} von 255</translation>
    </message>
    <message>
        <source>not stated</source>
        <translation>nicht genannt</translation>
    </message>
    <message>
        <source>{0:.0f} dpi</source>
        <translation>{0:.0f} dpi</translation>
    </message>
    <message>
        <source>transparent</source>
        <translation>durchsichtig</translation>
    </message>
    <message>
        <source>opaque</source>
        <translation>deckend</translation>
    </message>
    <message>
        <source>Pixels</source>
        <translation>Pixel</translation>
    </message>
    <message>
        <source>Resolution</source>
        <translation>Auflösung</translation>
    </message>
    <message>
        <source>Ground</source>
        <translation>Grund</translation>
    </message>
    <message>
        <source>This looks like noise; there is nothing to cut.</source>
        <translation>Das sieht nach Rauschen aus; es gibt nichts zu schneiden.</translation>
    </message>
    <message>
        <source>A page on a table: flatten it first, then judge again.</source>
        <translation>Eine Seite auf einem Tisch: mach sie zuerst flach, dann urteile neu.</translation>
    </message>
    <message>
        <source>A printed page with a screen: take the screen out first.</source>
        <translation>Eine gedruckte Seite mit Raster: entferne zuerst das Raster.</translation>
    </message>
    <message>
        <source>A shaded picture: the photo reading gives it in a few tones. For clean shapes a flat version is better.</source>
        <translation>Ein schattiertes Bild: die Foto-Lesart gibt es in wenigen Tönen wieder. Für saubere Formen ist eine flache Fassung besser.</translation>
    </message>
    <message>
        <source>Fit to trace once it is prepared; the buttons below do it.</source>
        <translation>Zum Nachzeichnen geeignet, sobald es vorbereitet ist; die Knöpfe unten tun es.</translation>
    </message>
    <message>
        <source>Ink on paper: the tone reading suits it.</source>
        <translation>Tinte auf Papier: die Ton-Lesart passt dazu.</translation>
    </message>
    <message>
        <source>Thin open lines: the line reading suits them, for a pen.</source>
        <translation>Dünne offene Linien: die Linien-Lesart passt dazu, für einen Stift.</translation>
    </message>
    <message>
        <source>Flat colours, but few pixels for this size.</source>
        <translation>Flache Farben, aber wenige Pixel für diese Größe.</translation>
    </message>
    <message>
        <source>Flat colours and clean edges: it traces well.</source>
        <translation>Flache Farben und saubere Kanten: das lässt sich gut nachzeichnen.</translation>
    </message>
    <message>
        <source>finished size</source>
        <translation>fertige Größe</translation>
    </message>
</context>
<context>
    <name>SplitsBox</name>
    <message>
        <source>A split line parts a shape in two; each part can then be coloured, dropped or put on a sheet of its own.</source>
        <translation>Eine Trennlinie teilt eine Form in zwei; jeder Teil lässt sich dann färben, weglassen oder auf einen eigenen Bogen legen.</translation>
    </message>
    <message>
        <source>Draw a split line…</source>
        <translation>Trennlinie zeichnen …</translation>
    </message>
    <message>
        <source>Drag through the shape, or click from point to point; it need not be exact at the ends</source>
        <translation>Ziehe durch die Form, oder klicke von Punkt zu Punkt; an den Enden muss sie nicht genau sein</translation>
    </message>
    <message>
        <source>Likely places</source>
        <translation>Naheliegende Stellen</translation>
    </message>
    <message>
        <source>Where a shape narrows or bends inwards is marked; a click splits it there</source>
        <translation>Wo eine Form schmal wird oder sich einbiegt, ist markiert; ein Klick teilt sie dort</translation>
    </message>
    <message>
        <source>Split lines, the latest first</source>
        <translation>Trennlinien, die letzte zuerst</translation>
    </message>
    <message>
        <source>split line</source>
        <translation>Trennlinie</translation>
    </message>
    <message>
        <source>1 likely place</source>
        <translation>1 naheliegende Stelle</translation>
    </message>
    <message>
        <source>{0} likely places</source>
        <translation>{0} naheliegende Stellen</translation>
    </message>
    <message>
        <source>Split line {0}</source>
        <translation>Trennlinie {0}</translation>
    </message>
    <message>
        <source>Split line {0} · parts nothing</source>
        <translation>Trennlinie {0} · trennt nichts</translation>
    </message>
</context>
<context>
    <name>Splitting</name>
    <message>
        <source>Click a place to split the shape there. Esc ends.</source>
        <translation>Klicke eine Stelle, um die Form dort zu teilen. Esc beendet.</translation>
    </message>
    <message>
        <source>Drag through the shape, or click from point to point, Enter ends the line; the next may follow. Esc puts it down.</source>
        <translation>Durch die Form ziehen oder von Punkt zu Punkt klicken, Enter beendet die Linie; die nächste kann folgen. Esc legt ab.</translation>
    </message>
    <message>
        <source>Looking for the line</source>
        <translation>Suche nach der Linie</translation>
    </message>
    <message>
        <source>Drag through it, or click from point to point, Enter ends the line. Esc puts it down.</source>
        <translation>Zieh hindurch, oder klick von Punkt zu Punkt, Eingabe beendet die Linie. Esc legt sie weg.</translation>
    </message>
    <message>
        <source>Click one end of the line, then the other. Esc puts it down.</source>
        <translation>Klicke ein Ende der Linie, dann das andere. Esc legt es weg.</translation>
    </message>
    <message>
        <source>Looking for likely places</source>
        <translation>Suche nach naheliegenden Stellen</translation>
    </message>
    <message>
        <source>Draw round what is to go; what lies around it goes on there. Esc leaves it.</source>
        <translation>Zeichne um das, was weg soll; was darum liegt, geht dort weiter. Esc verlässt es.</translation>
    </message>
</context>
<context>
    <name>StackView</name>
    <message>
        <source>As laid so far</source>
        <translation>Wie bisher gelegt</translation>
    </message>
    <message>
        <source>Alone</source>
        <translation>Allein</translation>
    </message>
    <message>
        <source>Only the uppermost of these</source>
        <translation>Nur der oberste davon</translation>
    </message>
    <message>
        <source>Lay together again</source>
        <translation>Wieder zusammenlegen</translation>
    </message>
    <message>
        <source>{0} of {1}: {2}</source>
        <translation>{0} von {1}: {2}</translation>
    </message>
</context>
<context>
    <name>Stacking</name>
    <message>
        <source>pieces held by bridges</source>
        <translation>Teile mit Stegen gehalten</translation>
    </message>
    <message>
        <source>pieces from a sheet below</source>
        <translation>Teile von einem Bogen darunter</translation>
    </message>
    <message>
        <source>Gathering</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>line art to sheets</source>
        <translation>Strichzeichnung auf Bogen</translation>
    </message>
    <message>
        <source>{0} high; {1} without a material.</source>
        <translation>{0} hoch; {1} ohne Material.</translation>
    </message>
    <message>
        <source>1 sheet</source>
        <translation>1 Bogen</translation>
    </message>
    <message>
        <source>{0} sheets</source>
        <translation>{0} Bogen</translation>
    </message>
    <message>
        <source>Numbering pieces</source>
        <translation>Teile werden nummeriert</translation>
    </message>
    <message>
        <source>Nothing of it is seen: it lies under other sheets. Another way of layering spares it.</source>
        <translation>Davon ist nichts zu sehen: es liegt unter anderen Bogen. Eine andere Art der Schichtung spart es.</translation>
    </message>
    <message>
        <source>Counting sheets</source>
        <translation>Bogen werden gezählt</translation>
    </message>
</context>
<context>
    <name>StageButton</name>
    <message>
        <source>not looked at yet</source>
        <translation>noch nicht angesehen</translation>
    </message>
    <message>
        <source>fine</source>
        <translation>in Ordnung</translation>
    </message>
    <message>
        <source>{0} to look at</source>
        <translation>{0} zu beachten</translation>
    </message>
    <message>
        <source>blocked</source>
        <translation>blockiert</translation>
    </message>
    <message>
        <source>not known yet</source>
        <translation>noch nicht bekannt</translation>
    </message>
</context>
<context>
    <name>StageHelp</name>
    <message>
        <source>Stage</source>
        <translation>Schritt</translation>
    </message>
</context>
<context>
    <name>StarGrid</name>
    <message>
        <source>Test piece</source>
        <translation>Teststück</translation>
    </message>
    <message>
        <source>Click a star by its number, then say what it is.</source>
        <translation>Klicken Sie einen Stern bei seiner Nummer an und sagen Sie dann, wie er ist.</translation>
    </message>
    <message>
        <source>Force {0}, speed {1} mm/s</source>
        <translation>Kraft {0}, Geschwindigkeit {1} mm/s</translation>
    </message>
    <message>
        <source>Star {0}: force {1}, speed {2}</source>
        <translation>Stern {0}: Kraft {1}, Geschwindigkeit {2}</translation>
    </message>
</context>
<context>
    <name>StencilBox</name>
    <message>
        <source>Bridges for each loose piece</source>
        <translation>Stege für jedes lose Teil</translation>
    </message>
    <message>
        <source>Width of the bridges</source>
        <translation>Breite der Stege</translation>
    </message>
    <message>
        <source>Show loose pieces</source>
        <translation>Lose Teile zeigen</translation>
    </message>
    <message>
        <source>What falls out when all that is cut is cut away</source>
        <translation>Was herausfällt, wenn alles Geschnittene weg ist</translation>
    </message>
    <message>
        <source>Hold them</source>
        <translation>Halten</translation>
    </message>
    <message>
        <source>Bridges where the way across is shortest, evenly around each piece</source>
        <translation>Stege, wo der Weg hinüber am kürzesten ist, gleichmäßig um jedes Teil</translation>
    </message>
    <message>
        <source>Move bridges on the bench</source>
        <translation>Stege auf der Werkbank bewegen</translation>
    </message>
    <message>
        <source>Drag the end of a bridge, or all of it by its middle</source>
        <translation>Ziehe das Ende eines Stegs oder ihn ganz an seiner Mitte</translation>
    </message>
    <message>
        <source>In a stencil the drawing is cut away and the sheet stays; what the sheet does not hold falls out.</source>
        <translation>In einer Schablone wird die Zeichnung weggeschnitten, und der Bogen bleibt; was der Bogen nicht hält, fällt heraus.</translation>
    </message>
    <message>
        <source>Bridges a piece</source>
        <translation>Stege je Teil</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Nothing falls out.</source>
        <translation>Nichts fällt heraus.</translation>
    </message>
    <message>
        <source>{0}, held by {1} bridges. They are lines under “Gaps and ink”.</source>
        <translation>{0}, gehalten von {1} Stegen. Sie sind Linien unter „Lücken und Tinte“.</translation>
    </message>
    <message>
        <source>{0} would fall out.</source>
        <translation>{0} würden herausfallen.</translation>
    </message>
    <message>
        <source>1 loose piece</source>
        <translation>1 loses Teil</translation>
    </message>
    <message>
        <source>{0} loose pieces</source>
        <translation>{0} lose Teile</translation>
    </message>
</context>
<context>
    <name>Stepping</name>
    <message>
        <source>Not yet: the exact result is not there.</source>
        <translation>Noch nicht: das genaue Ergebnis ist nicht da.</translation>
    </message>
    <message>
        <source>Preparing</source>
        <translation>Wird vorbereitet</translation>
    </message>
    <message>
        <source>prepared</source>
        <translation>vorbereitet</translation>
    </message>
    <message>
        <source>before</source>
        <translation>vorher</translation>
    </message>
    <message>
        <source>Prepared: on the left of the curtain as it was, on the right as it is now.</source>
        <translation>Vorbereitet: links vom Vorhang wie es war, rechts wie es jetzt ist.</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
</context>
<context>
    <name>StockForm</name>
    <message>
        <source>One more</source>
        <translation>Noch eines</translation>
    </message>
    <message>
        <source>Put it into stock</source>
        <translation>In den Vorrat legen</translation>
    </message>
</context>
<context>
    <name>StockKeeping</name>
    <message>
        <source>A rest in stock suits this plan.</source>
        <translation>Ein Rest im Lager passt zu diesem Plan.</translation>
    </message>
    <message>
        <source>{0} rests in stock suit this plan.</source>
        <translation>{0} Reste im Lager passen zu diesem Plan.</translation>
    </message>
    <message>
        <source>Use them first</source>
        <translation>Zuerst nehmen</translation>
    </message>
    <message>
        <source>Use it first</source>
        <translation>Zuerst nehmen</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Jetzt nicht</translation>
    </message>
</context>
<context>
    <name>StretchTool</name>
    <message>
        <source>Brush along a boundary to choose a stretch; drag it to pull it, or its nodes and handles. Two clicks on it add a node, Delete takes one away. Esc ends.</source>
        <translation>An einer Grenze entlangstreichen wählt eine Strecke; ziehen Sie an ihr oder an ihren Knoten und Griffen. Zwei Klicks auf sie fügen einen Knoten ein, Entf entfernt einen. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>StrokeTool</name>
    <message>
        <source>Click a stroke; then say in the panel what is to become of it. Esc ends.</source>
        <translation>Klicke einen Strich an; sag dann im Feld rechts, was aus ihm wird. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>Strokes</name>
    <message>
        <source>Following strokes</source>
        <translation>Striche werden verfolgt</translation>
    </message>
    <message>
        <source>{0} strokes</source>
        <translation>{0} Striche</translation>
    </message>
    <message>
        <source>with a free end</source>
        <translation>mit freiem Ende</translation>
    </message>
    <message>
        <source>between two meetings</source>
        <translation>zwischen zwei Treffpunkten</translation>
    </message>
    <message>
        <source>stroke · {0} wide · {1}</source>
        <translation>Strich · {0} breit · {1}</translation>
    </message>
</context>
<context>
    <name>StrokesBox</name>
    <message>
        <source>Choose strokes on the bench</source>
        <translation>Striche auf der Werkbank wählen</translation>
    </message>
    <message>
        <source>A stroke runs from one meeting of lines to the next</source>
        <translation>Ein Strich läuft von einem Treffen von Linien zum nächsten</translation>
    </message>
    <message>
        <source>Take away</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>The paper shows there; what it met stays whole</source>
        <translation>Dort zeigt sich das Papier; was er traf, bleibt ganz</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>It becomes a window through all sheets</source>
        <translation>Er wird ein Fenster durch alle Bogen</translation>
    </message>
    <message>
        <source>Thinner</source>
        <translation>Dünner</translation>
    </message>
    <message>
        <source>By a fifth; click again for more</source>
        <translation>Um ein Fünftel; nochmals klicken für mehr</translation>
    </message>
    <message>
        <source>Thicker</source>
        <translation>Dicker</translation>
    </message>
    <message>
        <source>By a quarter; click again for more</source>
        <translation>Um ein Viertel; nochmals klicken für mehr</translation>
    </message>
    <message>
        <source>Extend to the next</source>
        <translation>Bis zum nächsten verlängern</translation>
    </message>
    <message>
        <source>Its free end runs straight on until it meets another stroke</source>
        <translation>Sein freies Ende läuft gerade weiter, bis es einen anderen Strich trifft</translation>
    </message>
    <message>
        <source>Join to…</source>
        <translation>Verbinden mit …</translation>
    </message>
    <message>
        <source>Then click the stroke whose free end it is to be joined to</source>
        <translation>Klicke dann den Strich an, mit dessen freiem Ende er verbunden wird</translation>
    </message>
    <message>
        <source>For ink drawings. What is done here is kept as painted lines, under “Gaps and ink”.</source>
        <translation>Für Tintenzeichnungen. Was hier geschieht, wird als gemalte Linien behalten, unter „Lücken und Tinte“.</translation>
    </message>
</context>
<context>
    <name>Stroking</name>
    <message>
        <source>Following strokes</source>
        <translation>Striche werden verfolgt</translation>
    </message>
    <message>
        <source>joined strokes</source>
        <translation>Striche verbunden</translation>
    </message>
    <message>
        <source>Both strokes need a free end to be joined.</source>
        <translation>Beide Striche brauchen ein freies Ende, um verbunden zu werden.</translation>
    </message>
    <message>
        <source>A stroke {0} wide, with a free end.</source>
        <translation>Ein Strich, {0} breit, mit einem freien Ende.</translation>
    </message>
    <message>
        <source>A stroke {0} wide.</source>
        <translation>Ein Strich, {0} breit.</translation>
    </message>
    <message>
        <source>Now click the stroke to join it to, near its free end.</source>
        <translation>Klicke jetzt den Strich, mit dem er verbunden wird, nahe seinem freien Ende.</translation>
    </message>
    <message>
        <source>opened stroke</source>
        <translation>Strich geöffnet</translation>
    </message>
    <message>
        <source>extended stroke</source>
        <translation>Strich verlängert</translation>
    </message>
    <message>
        <source>It would meet no other stroke.</source>
        <translation>Er träfe keinen anderen Strich.</translation>
    </message>
    <message>
        <source>stroke taken away</source>
        <translation>Strich weggenommen</translation>
    </message>
    <message>
        <source>stroke of another width</source>
        <translation>Strich mit anderer Breite</translation>
    </message>
    <message>
        <source>strokes taken away</source>
        <translation>Striche weggenommen</translation>
    </message>
    <message>
        <source>strokes of another width</source>
        <translation>Striche anderer Breite</translation>
    </message>
</context>
<context>
    <name>Surface</name>
    <message>
        <source>Bench: the work at true scale</source>
        <translation>Werkbank: die Arbeit in wahrer Größe</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
</context>
<context>
    <name>Telling</name>
    <message>
        <source>1 layer</source>
        <translation>1 Ebene</translation>
    </message>
    <message>
        <source>{0} layers</source>
        <translation>{0} Ebenen</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>1 finding</source>
        <translation>1 Befund</translation>
    </message>
    <message>
        <source>{0} findings</source>
        <translation>{0} Befunde</translation>
    </message>
    <message>
        <source>What there is to look at is known once the exact result is there.</source>
        <translation>Was anzusehen ist, steht fest, sobald das genaue Ergebnis da ist.</translation>
    </message>
    <message>
        <source>The last change could not be worked out; what there is to look at is not known.</source>
        <translation>Die letzte Änderung ließ sich nicht ausrechnen; was zu beachten ist, ist nicht bekannt.</translation>
    </message>
    <message>
        <source>Something went wrong inside the program. Your work is kept, with an unsaved copy for the next start; go on, or undo the last step.</source>
        <translation>Im Programm ist etwas schiefgegangen. Deine Arbeit ist noch da, mit einer ungespeicherten Kopie für den nächsten Start; mach weiter, oder nimm den letzten Schritt zurück.</translation>
    </message>
    <message>
        <source>What happened is written in {0}.</source>
        <translation>Was geschah, steht in {0}.</translation>
    </message>
    <message>
        <source>Stopped. Nothing is traced yet.</source>
        <translation>Angehalten. Es ist noch nichts nachgezeichnet.</translation>
    </message>
    <message>
        <source>Stopped. The bench shows a preview of a small copy; it can be neither judged nor written.</source>
        <translation>Angehalten. Der Tisch zeigt die Vorschau einer kleinen Kopie; sie kann weder beurteilt noch geschrieben werden.</translation>
    </message>
    <message>
        <source>Stopped. The bench shows the result before this change.</source>
        <translation>Abgebrochen. Die Werkbank zeigt das Ergebnis vor dieser Änderung.</translation>
    </message>
    <message>
        <source>Stopped: what there is to look at after the last change is not known.</source>
        <translation>Angehalten: was nach der letzten Änderung zu beachten ist, ist nicht bekannt.</translation>
    </message>
    <message>
        <source>Trace again</source>
        <translation>Noch einmal nachzeichnen</translation>
    </message>
    <message>
        <source>Trace it now</source>
        <translation>Jetzt nachzeichnen</translation>
    </message>
    <message>
        <source>All of this kind are mended as shown on the bench. Keep it so?</source>
        <translation>Alle dieser Art sind behoben, wie auf der Werkbank gezeigt. So behalten?</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
</context>
<context>
    <name>Together</name>
    <message>
        <source>Done; kept in “What was changed”.</source>
        <translation>Getan; behalten unter „Was geändert wurde“.</translation>
    </message>
    <message>
        <source>filled inside</source>
        <translation>innen gefüllt</translation>
    </message>
    <message>
        <source>filled holes</source>
        <translation>Löcher gefüllt</translation>
    </message>
    <message>
        <source>joined regions</source>
        <translation>Flächen verbunden</translation>
    </message>
    <message>
        <source>cut regions out</source>
        <translation>Flächen ausgeschnitten</translation>
    </message>
    <message>
        <source>Nothing changes by that.</source>
        <translation>Das ändert nichts.</translation>
    </message>
</context>
<context>
    <name>TogetherBox</name>
    <message>
        <source>Choose regions on the bench</source>
        <translation>Flächen auf der Werkbank wählen</translation>
    </message>
    <message>
        <source>A click takes a region in, a second one lets it go; drag to sweep over many</source>
        <translation>Ein Klick nimmt eine Fläche dazu, ein zweiter lässt sie los; ziehe, um über viele zu wischen</translation>
    </message>
    <message>
        <source>Let go</source>
        <translation>Loslassen</translation>
    </message>
    <message>
        <source>No region is chosen any more</source>
        <translation>Keine Fläche ist mehr gewählt</translation>
    </message>
    <message>
        <source>Holes less across than this are filled</source>
        <translation>Löcher, die kleiner sind, werden gefüllt</translation>
    </message>
    <message>
        <source>Join</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>All get the colour of the first and become one where they touch</source>
        <translation>Alle bekommen die Farbe der ersten und werden eine, wo sie sich berühren</translation>
    </message>
    <message>
        <source>Cut out</source>
        <translation>Ausschneiden</translation>
    </message>
    <message>
        <source>The later ones, with all they enclose, are cut out of the first through all sheets</source>
        <translation>Die späteren werden mit allem, was sie einschließen, durch alle Bogen aus der ersten ausgeschnitten</translation>
    </message>
    <message>
        <source>Keep common part</source>
        <translation>Gemeinsames behalten</translation>
    </message>
    <message>
        <source>Of the first and what it encloses only what lies within all the others stays</source>
        <translation>Von der ersten und dem, was sie einschließt, bleibt nur, was in allen anderen liegt</translation>
    </message>
    <message>
        <source>Fill inside</source>
        <translation>Innen füllen</translation>
    </message>
    <message>
        <source>All that each one encloses gets its colour</source>
        <translation>Alles, was jede einschließt, bekommt ihre Farbe</translation>
    </message>
    <message>
        <source>Fill holes under</source>
        <translation>Löcher füllen unter</translation>
    </message>
    <message>
        <source>Only the holes that are smaller: a disc of their area is less across</source>
        <translation>Nur die kleineren Löcher: eine Scheibe ihrer Fläche ist schmaler</translation>
    </message>
    <message>
        <source>The first one chosen gives the colour; the others are joined to it or cut out of it.</source>
        <translation>Die zuerst gewählte gibt die Farbe; die anderen werden mit ihr verbunden oder aus ihr ausgeschnitten.</translation>
    </message>
    <message>
        <source>1 region: {0}.</source>
        <translation>1 Fläche: {0}.</translation>
    </message>
    <message>
        <source>{0} regions; the first is {1}.</source>
        <translation>{0} Flächen; die erste ist {1}.</translation>
    </message>
    <message>
        <source>{0} {1}, {2} under {3}.</source>
        <translation>{0} {1}, {2} unter {3}.</translation>
    </message>
    <message>
        <source>1 hole</source>
        <translation>1 Loch</translation>
    </message>
    <message>
        <source>{0} holes</source>
        <translation>{0} Löcher</translation>
    </message>
    <message>
        <source>{0} {1}</source>
        <translation>{0} {1}</translation>
    </message>
</context>
<context>
    <name>ToneBox</name>
    <message>
        <source>cut-off</source>
        <translation>Schwelle</translation>
    </message>
    <message>
        <source>Cut-off</source>
        <translation>Schwelle</translation>
    </message>
    <message>
        <source>Find the cut-off for me</source>
        <translation>Die Schwelle für mich finden</translation>
    </message>
    <message>
        <source>Cut-off follows the light</source>
        <translation>Schwelle folgt dem Licht</translation>
    </message>
    <message>
        <source>For paper that is darker in places: each place is compared with what is around it</source>
        <translation>Für Papier, das stellenweise dunkler ist: jede Stelle wird mit ihrer Umgebung verglichen</translation>
    </message>
    <message>
        <source>cut-off follows the light</source>
        <translation>Schwelle folgt dem Licht</translation>
    </message>
    <message>
        <source>Dark is ink</source>
        <translation>Dunkel ist Tinte</translation>
    </message>
    <message>
        <source>Dark parts are cut</source>
        <translation>Dunkles wird geschnitten</translation>
    </message>
    <message>
        <source>Light is ink</source>
        <translation>Hell ist Tinte</translation>
    </message>
    <message>
        <source>Light parts are cut</source>
        <translation>Helles wird geschnitten</translation>
    </message>
    <message>
        <source>Ink</source>
        <translation>Tinte</translation>
    </message>
    <message>
        <source>side of the ink</source>
        <translation>Seite der Tinte</translation>
    </message>
    <message>
        <source>Silhouette</source>
        <translation>Silhouette</translation>
    </message>
    <message>
        <source>Everything inside the outer edge is one solid shape</source>
        <translation>Alles innerhalb der äußeren Kante ist eine volle Form</translation>
    </message>
    <message>
        <source>silhouette</source>
        <translation>Silhouette</translation>
    </message>
    <message>
        <source>Keep inner areas of paper as pieces</source>
        <translation>Innere Papierflächen als Teile behalten</translation>
    </message>
    <message>
        <source>Paper that ink encloses becomes a sheet of its own instead of a window</source>
        <translation>Papier, das Tinte umschließt, wird ein eigener Bogen statt eines Fensters</translation>
    </message>
    <message>
        <source>inner areas</source>
        <translation>innere Flächen</translation>
    </message>
    <message>
        <source>Quietest from {0} to {1}; {2} is proposed.</source>
        <translation>Am ruhigsten von {0} bis {1}; vorgeschlagen ist {2}.</translation>
    </message>
    <message>
        <source> What is cut at {0}: {1}, {2}.</source>
        <translation> Geschnitten wird bei {0}: {1}, {2}.</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>1 hole</source>
        <translation>1 Loch</translation>
    </message>
    <message>
        <source>{0} holes</source>
        <translation>{0} Löcher</translation>
    </message>
    <message>
        <source>{0:+d} from the surroundings</source>
        <translation>{0:+d} gegen die Umgebung</translation>
    </message>
</context>
<context>
    <name>ToneCurve</name>
    <message>
        <source>Cut-offs: drag along, or use the arrow keys</source>
        <translation>Schwellen: ziehe entlang oder nimm die Pfeiltasten</translation>
    </message>
    <message>
        <source>Drag to set the cut-off. In the marked bands the drawing hardly changes; the flag is the one proposed. The lines count pieces and holes of every cut-off, specks and all, on a scale of tenfold steps.</source>
        <translation>Ziehe, um die Schwelle zu setzen. In den markierten Bändern ändert sich die Zeichnung kaum; die Fahne ist die vorgeschlagene. Die Linien zählen Teile und Löcher jeder Schwelle, Sprenkel eingeschlossen, in Zehnerschritten.</translation>
    </message>
    <message>
        <source>{0}: {1}, {2}</source>
        <translation>{0}: {1}, {2}</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>1 hole</source>
        <translation>1 Loch</translation>
    </message>
    <message>
        <source>{0} holes</source>
        <translation>{0} Löcher</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>light</source>
        <translation>hell</translation>
    </message>
    <message>
        <source>pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>holes</source>
        <translation>Löcher</translation>
    </message>
</context>
<context>
    <name>ToolBelt</name>
    <message>
        <source>Click what the close look is to show. Esc ends.</source>
        <translation>Klicke an, was der nahe Blick zeigen soll. Esc beendet.</translation>
    </message>
    <message>
        <source>Click a stroke to take it out. Esc ends.</source>
        <translation>Klicke einen Strich an, um ihn herauszunehmen. Esc beendet.</translation>
    </message>
    <message>
        <source>Looking for the page</source>
        <translation>Die Seite wird gesucht</translation>
    </message>
    <message>
        <source>Click a colour of the background. Esc ends.</source>
        <translation>Klicke eine Farbe des Hintergrunds an. Esc beendet.</translation>
    </message>
</context>
<context>
    <name>ToolRow</name>
    <message>
        <source>Tools of this stage</source>
        <translation>Werkzeuge dieses Schritts</translation>
    </message>
    <message>
        <source>More</source>
        <translation>Mehr</translation>
    </message>
    <message>
        <source>Everything else of this stage</source>
        <translation>Alles andere dieses Schritts</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Suchen</translation>
    </message>
    <message>
        <source>Find anything by its words</source>
        <translation>Alles nach seinen Worten finden</translation>
    </message>
</context>
<context>
    <name>Touring</name>
    <message>
        <source>How wide is the work to be? Type 90 mm and press Enter: everything follows.</source>
        <translation>Wie breit soll die Arbeit werden? Tipp 90 mm und drück die Eingabetaste: alles folgt.</translation>
    </message>
    <message>
        <source>This button always says what comes next. Click it.</source>
        <translation>Dieser Knopf sagt immer, was als Nächstes kommt. Klick ihn an.</translation>
    </message>
    <message>
        <source>Seven colours were found. Each row says what fewer would lose; click one of six or five, or skip.</source>
        <translation>Sieben Farben wurden gefunden. Jede Zeile sagt, was weniger kosten würden; klick die mit sechs oder fünf, oder überspring es.</translation>
    </message>
    <message>
        <source>On to Clean, by the same button.</source>
        <translation>Weiter zum Säubern, mit demselben Knopf.</translation>
    </message>
    <message>
        <source>Click a star on the bench. What can be done to it stands beside it.</source>
        <translation>Klick einen Stern auf der Werkbank an. Was sich mit ihm tun lässt, steht daneben.</translation>
    </message>
    <message>
        <source>Drop it, or give it another colour. Backspace brings it back.</source>
        <translation>Lass ihn weg, oder gib ihm eine andere Farbe. Die Rücktaste holt ihn zurück.</translation>
    </message>
    <message>
        <source>Anything you miss is found by its words: press Ctrl+K, type “thicker”, and Esc.</source>
        <translation>Was du vermisst, findest du nach seinen Wörtern: drück Strg+K, tipp „dicker“, und Esc.</translation>
    </message>
    <message>
        <source>Layers: one sheet a colour, in the order that cuts least. Click another way of laying them to see what it costs.</source>
        <translation>Ebenen: ein Bogen je Farbe, in der Reihenfolge, die am wenigsten schneidet. Klick eine andere Art, sie zu legen, um zu sehen, was sie kostet.</translation>
    </message>
    <message>
        <source>Sheets: what goes into the machine, with its time and cost. Look at the strip below, then go on.</source>
        <translation>Bogen: was in die Maschine kommt, mit Zeit und Kosten. Sieh dir den Streifen unten an und geh dann weiter.</translation>
    </message>
    <message>
        <source>Release: choose who gets it, and write the cut files. That was a job, from picture to file.</source>
        <translation>Ausgabe: wähl, wer es bekommt, und schreib die Schneidedateien. Das war ein Auftrag, vom Bild zur Datei.</translation>
    </message>
    <message>
        <source>Step {0} of {1}</source>
        <translation>Schritt {0} von {1}</translation>
    </message>
</context>
<context>
    <name>TracePanel</name>
    <message>
        <source>Trace</source>
        <translation>Nachzeichnen</translation>
    </message>
    <message>
        <source>reading</source>
        <translation>Lesart</translation>
    </message>
    <message>
        <source>Grow a region by colour</source>
        <translation>Fläche nach Farbe wachsen lassen</translation>
    </message>
    <message>
        <source>Small details</source>
        <translation>Kleine Details</translation>
    </message>
    <message>
        <source>A part with settings of its own</source>
        <translation>Ein Teil mit eigenen Einstellungen</translation>
    </message>
    <message>
        <source>Double outlines</source>
        <translation>Doppelte Umrisse</translation>
    </message>
    <message>
        <source>What comes out</source>
        <translation>Was herauskommt</translation>
    </message>
    <message>
        <source>How the picture is read: into which colours, tones or lines, and what is too small to cut.</source>
        <translation>Wie das Bild gelesen wird: in welche Farben, Töne oder Linien, und was zu klein zum Schneiden ist.</translation>
    </message>
    <message>
        <source>The work read in each of the ways. The one proposed is taken; a click takes another.</source>
        <translation>Das Werk, auf jede Art gelesen. Die vorgeschlagene ist genommen; ein Klick nimmt eine andere.</translation>
    </message>
    <message>
        <source>Settings that are kept under a name.</source>
        <translation>Einstellungen, die unter einem Namen behalten werden.</translation>
    </message>
    <message>
        <source>Fewer colours are fewer sheets. Each rung says what the next number loses and saves; what can be done to a colour stands in its row.</source>
        <translation>Weniger Farben sind weniger Bogen. Jede Sprosse sagt, was die nächste Zahl verliert und spart; was sich mit einer Farbe tun lässt, steht in ihrer Zeile.</translation>
    </message>
    <message>
        <source>What is darker than the cut-off is cut. In the marked bands the drawing stands still.</source>
        <translation>Was dunkler ist als die Schwelle, wird geschnitten. In den markierten Bändern steht die Zeichnung still.</translation>
    </message>
    <message>
        <source>The middle of each stroke, for a pen, or as shapes of one width.</source>
        <translation>Die Mitte jedes Strichs, für einen Stift oder als Formen von einer Breite.</translation>
    </message>
    <message>
        <source>Shading in a few tones; a close look shows what a face keeps.</source>
        <translation>Schattierung in wenigen Tönen; ein naher Blick zeigt, was ein Gesicht behält.</translation>
    </message>
    <message>
        <source>What is left out as ground, and how far curves may keep from the pixels: fewer nodes are calmer cuts.</source>
        <translation>Was als Grund wegbleibt, und wie weit Kurven von den Bildpunkten abweichen dürfen: weniger Knoten schneiden ruhiger.</translation>
    </message>
    <message>
        <source>What is smaller goes to its neighbour; what that cost is listed.</source>
        <translation>Was kleiner ist, geht an seinen Nachbarn; was das kostet, steht in der Liste.</translation>
    </message>
    <message>
        <source>Regions are grown by colour where a picture is read by colour: choose Colour above.</source>
        <translation>Flächen wachsen nach Farbe, wo nach Farben gelesen wird: oben Farbe wählen.</translation>
    </message>
    <message>
        <source>Found: lines {0:.1f} pixels wide, {1:.0f} pixels long in all. The picture was drawn {2} times as fine.</source>
        <translation>Gefunden: Linien, {0:.1f} Pixel breit, zusammen {1:.0f} Pixel lang. Das Bild wurde {2}-mal so fein gezeichnet.</translation>
    </message>
    <message>
        <source>Regions</source>
        <translation>Flächen</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Nodes</source>
        <translation>Knoten</translation>
    </message>
    <message>
        <source>Picture explained</source>
        <translation>Bild erklärt</translation>
    </message>
    <message>
        <source>Farthest from the picture</source>
        <translation>Am weitesten vom Bild</translation>
    </message>
    <message>
        <source>Drawing with the pen</source>
        <translation>Zeichnen mit dem Stift</translation>
    </message>
    <message>
        <source>Cutting</source>
        <translation>Schnitt</translation>
    </message>
    <message>
        <source>Nothing runs all around the drawing: nothing is left out.</source>
        <translation>Nichts läuft rund um die Zeichnung: nichts bleibt weg.</translation>
    </message>
    <message>
        <source>Left out: {0}, {1:.0%} of the picture.</source>
        <translation>Weggelassen: {0}, {1:.0%} des Bildes.</translation>
    </message>
    <message>
        <source>what is transparent</source>
        <translation>was durchsichtig ist</translation>
    </message>
</context>
<context>
    <name>Trainer</name>
    <message>
        <source>Exercises</source>
        <translation>Übungen</translation>
    </message>
    <message>
        <source>Another one</source>
        <translation>Eine andere</translation>
    </message>
    <message>
        <source>The exercise</source>
        <translation>Die Übung</translation>
    </message>
    <message>
        <source>{0} of {1} right</source>
        <translation>{0} von {1} richtig</translation>
    </message>
    <message>
        <source>A moment …</source>
        <translation>Einen Augenblick …</translation>
    </message>
    <message>
        <source>Choose one.</source>
        <translation>Wählen Sie eines.</translation>
    </message>
    <message>
        <source>Answer {0}: {1}</source>
        <translation>Antwort {0}: {1}</translation>
    </message>
    <message>
        <source>Right.</source>
        <translation>Richtig.</translation>
    </message>
    <message>
        <source>Not so; the program&apos;s own answer is marked.</source>
        <translation>Nicht so; die Antwort des Programms ist bezeichnet.</translation>
    </message>
</context>
<context>
    <name>TryDetails</name>
    <message>
        <source>as it is called</source>
        <translation>wie es heißt</translation>
    </message>
    <message>
        <source>Those of the list of tools; a new blade cuts deeper</source>
        <translation>Die aus der Liste der Werkzeuge; eine neue Klinge schneidet tiefer</translation>
    </message>
    <message>
        <source>Forces are of one machine: what another one was set to says nothing of it</source>
        <translation>Kräfte gelten für eine Maschine: was eine andere eingestellt hatte, sagt nichts über sie</translation>
    </message>
    <message>
        <source>How the star looks</source>
        <translation>Wie der Stern aussieht</translation>
    </message>
    <message>
        <source>Picture of the chosen star…</source>
        <translation>Bild des gewählten Sterns …</translation>
    </message>
    <message>
        <source>Name the material; the next try is proposed.</source>
        <translation>Das Material nennen; der nächste Versuch wird vorgeschlagen.</translation>
    </message>
    <message>
        <source>Write a piece with twelve stars…</source>
        <translation>Ein Stück mit zwölf Sternen schreiben…</translation>
    </message>
    <message>
        <source>Half an inch each, numbered on the film, a layer for each try</source>
        <translation>Je einen halben Zoll, auf der Folie nummeriert, eine Ebene für jeden Versuch</translation>
    </message>
    <message>
        <source>Starting values are from memory; the machine&apos;s manual comes first.</source>
        <translation>Anfangswerte sind aus dem Gedächtnis; die Anleitung der Maschine geht vor.</translation>
    </message>
    <message>
        <source>Family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>Material</source>
        <translation>Material</translation>
    </message>
    <message>
        <source>Tool</source>
        <translation>Werkzeug</translation>
    </message>
    <message>
        <source>Force</source>
        <translation>Kraft</translation>
    </message>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>The star is</source>
        <translation>Der Stern ist</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>nicht genannt</translation>
    </message>
    <message>
        <source>Working out the next try …</source>
        <translation>Der nächste Versuch wird ermittelt …</translation>
    </message>
    <message>
        <source>Tries so far: {0}. Next: force {1}, speed {2} mm/s; {3} % likely to be right.</source>
        <translation>Versuche bisher: {0}. Als Nächstes: Kraft {1}, Tempo {2} mm/s; zu {3} % richtig.</translation>
    </message>
    <message>
        <source>Right before: force {0}, speed {1} mm/s ({2}); {3} % sure.</source>
        <translation>Zuvor richtig: Kraft {0}, Geschwindigkeit {1} mm/s ({2}); zu {3} % sicher.</translation>
    </message>
    <message>
        <source>The tool was new on {0}.</source>
        <translation>Das Werkzeug war neu am {0}.</translation>
    </message>
</context>
<context>
    <name>TryKeeping</name>
    <message>
        <source>Write the test piece</source>
        <translation>Das Teststück schreiben</translation>
    </message>
    <message>
        <source>Cut files (*.svg *.plt *.dxf)</source>
        <translation>Schneidedateien (*.svg *.plt *.dxf)</translation>
    </message>
    <message>
        <source>Picture of the star</source>
        <translation>Bild des Sterns</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg *.webp)</source>
        <translation>Bilder (*.png *.jpg *.jpeg *.webp)</translation>
    </message>
</context>
<context>
    <name>UncutNote</name>
    <message>
        <source>What is not cut, and where that is decided</source>
        <translation>Was nicht geschnitten wird, und wo das entschieden ist</translation>
    </message>
    <message>
        <source>Not cut: {0}.</source>
        <translation>Nicht geschnitten: {0}.</translation>
    </message>
    <message>
        <source>background (Source)</source>
        <translation>Hintergrund (Quelle)</translation>
    </message>
    <message>
        <source>ground (Trace)</source>
        <translation>Grund (Nachzeichnen)</translation>
    </message>
    <message>
        <source>everything off (Clean)</source>
        <translation>alles aus (Säubern)</translation>
    </message>
    <message>
        <source>{0} dropped (Clean)</source>
        <translation>{0} weg (Säubern)</translation>
    </message>
    <message>
        <source>{0} opened (Clean)</source>
        <translation>{0} geöffnet (Säubern)</translation>
    </message>
    <message>
        <source>{0} layers left out (Layers)</source>
        <translation>{0} Ebenen weggelassen (Ebenen)</translation>
    </message>
    <message>
        <source>{0} layer left out (Layers)</source>
        <translation>{0} Ebene weggelassen (Ebenen)</translation>
    </message>
</context>
<context>
    <name>VariantsStrip</name>
    <message>
        <source>&lt;b&gt;Variants&lt;/b&gt;  click one to take it, pin one to compare it through the curtain</source>
        <translation>&lt;b&gt;Varianten&lt;/b&gt;  klicke eine an, um sie zu nehmen, hefte eine an, um sie am Vorhang zu vergleichen</translation>
    </message>
    <message>
        <source>Unpin</source>
        <translation>Lösen</translation>
    </message>
    <message>
        <source>Show the source behind the curtain again</source>
        <translation>Wieder die Quelle hinter dem Vorhang zeigen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Fold the strip away (V)</source>
        <translation>Streifen einklappen (V)</translation>
    </message>
    <message>
        <source>Keep the present one</source>
        <translation>Die jetzige behalten</translation>
    </message>
    <message>
        <source>As an alternative in this project, to come back to or to compare</source>
        <translation>Als Alternative in diesem Projekt, um zurückzukehren oder zu vergleichen</translation>
    </message>
    <message>
        <source>Variants side by side</source>
        <translation>Varianten nebeneinander</translation>
    </message>
    <message>
        <source>Cut-off {0}</source>
        <translation>Schwelle {0}</translation>
    </message>
    <message>
        <source>Silhouette</source>
        <translation>Silhouette</translation>
    </message>
    <message>
        <source>Follows the light</source>
        <translation>Folgt dem Licht</translation>
    </message>
    <message>
        <source>One cut-off</source>
        <translation>Eine Schwelle</translation>
    </message>
    <message>
        <source>{0} colours</source>
        <translation>{0} Farben</translation>
    </message>
    <message>
        <source>{0} tones</source>
        <translation>{0} Töne</translation>
    </message>
    <message>
        <source>Outlines {0}</source>
        <translation>Umrisse {0}</translation>
    </message>
    <message>
        <source>Branches from {0}</source>
        <translation>Äste ab {0}</translation>
    </message>
    <message>
        <source>Shapes {0} wide</source>
        <translation>Formen {0} breit</translation>
    </message>
    <message>
        <source>Untouched</source>
        <translation>Unberührt</translation>
    </message>
    <message>
        <source>Pen lines</source>
        <translation>Stiftlinien</translation>
    </message>
    <message>
        <source>Reading: {0}</source>
        <translation>Lesart: {0}</translation>
    </message>
    <message>
        <source>Now</source>
        <translation>Jetzt</translation>
    </message>
    <message>
        <source>Pin: compare this one with the present result through the curtain</source>
        <translation>Anheften: diese am Vorhang mit dem jetzigen Ergebnis vergleichen</translation>
    </message>
    <message>
        <source>Pin {0}</source>
        <translation>{0} anheften</translation>
    </message>
    <message>
        <source>Let this alternative go</source>
        <translation>Diese Alternative aufgeben</translation>
    </message>
    <message>
        <source>Let {0} go</source>
        <translation>{0} aufgeben</translation>
    </message>
    <message>
        <source>smoother</source>
        <translation>glatter</translation>
    </message>
    <message>
        <source>truer</source>
        <translation>näher am Bild</translation>
    </message>
    <message>
        <source>on</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>tone</source>
        <translation>Ton</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>photo</source>
        <translation>Foto</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>nothing narrow</source>
        <translation>nichts schmal</translation>
    </message>
    <message>
        <source>narrowest {0}</source>
        <translation>schmalste {0}</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Teil</translation>
    </message>
    <message>
        <source>{0} pieces</source>
        <translation>{0} Teile</translation>
    </message>
    <message>
        <source>1 sheet</source>
        <translation>1 Bogen</translation>
    </message>
    <message>
        <source>{0} sheets</source>
        <translation>{0} Bogen</translation>
    </message>
    <message>
        <source>{0}{1} nodes · {2}</source>
        <translation>{0}{1} Knoten · {2}</translation>
    </message>
</context>
<context>
    <name>WaitTool</name>
    <message>
        <source>{0}…</source>
        <translation>{0}…</translation>
    </message>
</context>
<context>
    <name>WayBox</name>
    <message>
        <source>A solid base, each sheet whole under what lies above</source>
        <translation>Eine feste Basis, jeder Bogen ganz unter dem, was darüber liegt</translation>
    </message>
    <message>
        <source>Each sheet cut to what is seen of it, and a little more under what covers it</source>
        <translation>Jeder Bogen so geschnitten, wie man ihn sieht, und ein wenig weiter unter dem, was ihn bedeckt</translation>
    </message>
    <message>
        <source>Whole sheets with windows through which lower ones show: few pieces to lay</source>
        <translation>Ganze Bogen mit Fenstern, durch die man tiefere sieht: wenige Teile zu legen</translation>
    </message>
    <message>
        <source>What is covered is chosen so that least is cut</source>
        <translation>Was bedeckt ist, wird so gewählt, dass am wenigsten geschnitten wird</translation>
    </message>
    <message>
        <source>The lowest sheet whole, cut once around; every other fitted on it, a hair under its neighbours</source>
        <translation>Der unterste Bogen ganz, einmal umschnitten; jeder andere darauf eingepasst, ein wenig unter seine Nachbarn</translation>
    </message>
    <message>
        <source>Way of layering</source>
        <translation>Art der Schichtung</translation>
    </message>
    <message>
        <source>Use the proposed way</source>
        <translation>Vorgeschlagene Art nehmen</translation>
    </message>
    <message>
        <source>proposed way</source>
        <translation>vorgeschlagene Art</translation>
    </message>
    <message>
        <source>Overlap under what covers</source>
        <translation>Überlappung unter dem, was bedeckt</translation>
    </message>
    <message>
        <source>overlap</source>
        <translation>Überlappung</translation>
    </message>
    <message>
        <source>Overlap</source>
        <translation>Überlappung</translation>
    </message>
    <message>
        <source>How far a sheet goes on under what covers it, up to 2 mm</source>
        <translation>Wie weit ein Bogen unter dem weitergeht, was ihn bedeckt, bis 2 mm</translation>
    </message>
    <message>
        <source>Forgiving to lay, thick, uses the most material.</source>
        <translation>Verzeiht beim Legen, dick, braucht am meisten Material.</translation>
    </message>
    <message>
        <source>Thin and flat; with an overlap it forgives that much, without one a gap shows at once.</source>
        <translation>Dünn und flach; mit Überlappung verzeiht es so viel, ohne sie zeigt sich jede Lücke sofort.</translation>
    </message>
    <message>
        <source>Fewest pieces to lay; whole sheets, so much film and the greatest thickness.</source>
        <translation>Die wenigsten Teile zu legen; ganze Bogen, also viel Folie und die größte Dicke.</translation>
    </message>
    <message>
        <source>Least cutting; looks the same from above, and forgives as much as the overlap.</source>
        <translation>Am wenigsten Schnitt; sieht von oben gleich aus und verzeiht so viel wie die Überlappung.</translation>
    </message>
    <message>
        <source>One base to lay the rest on; forgives as much as the overlap.</source>
        <translation>Eine Basis, auf die der Rest gelegt wird; verzeiht so viel wie die Überlappung.</translation>
    </message>
    <message>
        <source>Proposed: {0}.</source>
        <translation>Vorgeschlagen: {0}.</translation>
    </message>
    <message>
        <source>way of layering</source>
        <translation>Art der Schichtung</translation>
    </message>
</context>
<context>
    <name>WaysTable</name>
    <message>
        <source>The ways of layering compared; click one to take it</source>
        <translation>Die Arten der Schichtung im Vergleich; klicke eine an, um sie zu nehmen</translation>
    </message>
    <message>
        <source>Figures of each way</source>
        <translation>Zahlen jeder Art</translation>
    </message>
    <message>
        <source>mm</source>
        <translation>mm</translation>
    </message>
    <message>
        <source>m</source>
        <translation>m</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>ft</source>
        <translation>ft</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
    <message>
        <source>Sheets to cut</source>
        <translation>Bogen zum Schneiden</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Pieces to lay by hand</source>
        <translation>Teile, von Hand zu legen</translation>
    </message>
    <message>
        <source>Windows</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>Holes in sheets, to be weeded</source>
        <translation>Löcher in Bogen, zu entgittern</translation>
    </message>
    <message>
        <source>Cut, {0}</source>
        <translation>Schnitt, {0}</translation>
    </message>
    <message>
        <source>Length of all cuts</source>
        <translation>Länge aller Schnitte</translation>
    </message>
    <message>
        <source>Film, cm²</source>
        <translation>Folie, cm²</translation>
    </message>
    <message>
        <source>Film or paper in all sheets</source>
        <translation>Folie oder Papier in allen Bogen</translation>
    </message>
    <message>
        <source>Narrowest, {0}</source>
        <translation>Schmalste, {0}</translation>
    </message>
    <message>
        <source>May slip, {0}</source>
        <translation>Spielraum, {0}</translation>
    </message>
    <message>
        <source>Sheets on each other at the thickest spot</source>
        <translation>Bogen übereinander an der dicksten Stelle</translation>
    </message>
    <message>
        <source>Thickest</source>
        <translation>Dickste</translation>
    </message>
    <message>
        <source>High, {0}</source>
        <translation>Hoch, {0}</translation>
    </message>
    <message>
        <source>Height of the stack at its highest, spacers too</source>
        <translation>Höhe des Stapels an der höchsten Stelle, mit Abstandhaltern</translation>
    </message>
    <message>
        <source>Smallest detail: the narrowest place of any sheet; a dash where nothing is under 8 mm</source>
        <translation>Kleinstes Detail: die schmalste Stelle aller Bogen; ein Strich, wo nichts unter 8 mm liegt</translation>
    </message>
    <message>
        <source>How far a piece may be laid amiss before the ground shows; “any” where a sheet goes on under it</source>
        <translation>Wie weit ein Teil falsch liegen darf, bevor der Grund zu sehen ist; „alles“, wo darunter ein Bogen weitergeht</translation>
    </message>
    <message>
        <source>any</source>
        <translation>alles</translation>
    </message>
</context>
<context>
    <name>Welcome</name>
    <message>
        <source>Ways to begin</source>
        <translation>Womit du anfangen kannst</translation>
    </message>
    <message>
        <source>Drop a picture here</source>
        <translation>Lege ein Bild hier ab</translation>
    </message>
    <message>
        <source>A logo, flat clipart, a scanned drawing, a photograph or a page of line art becomes layers for your cutter. PNG, JPEG, WebP, BMP, TIFF, GIF, HEIF, AVIF, PDF and SVG are read; several pictures with one frame become the layers of one work.</source>
        <translation>Ein Logo, flaches Clipart, eine gescannte Zeichnung, ein Foto oder eine Strichzeichnung wird zu Ebenen für deinen Schneider. PNG, JPEG, WebP, BMP, TIFF, GIF, HEIF, AVIF, PDF und SVG werden gelesen; mehrere Bilder mit einem Rahmen werden die Ebenen einer Arbeit.</translation>
    </message>
    <message>
        <source>Open…</source>
        <translation>Öffnen …</translation>
    </message>
    <message>
        <source>Paste</source>
        <translation>Einfügen</translation>
    </message>
    <message>
        <source>Or try one of these</source>
        <translation>Oder versuche eines davon</translation>
    </message>
    <message>
        <source>Lately</source>
        <translation>Zuletzt</translation>
    </message>
</context>
<context>
    <name>Window</name>
    <message>
        <source>Open recent</source>
        <translation>Zuletzt geöffnet</translation>
    </message>
    <message>
        <source>Open a demo</source>
        <translation>Demo öffnen</translation>
    </message>
    <message>
        <source>Source</source>
        <translation>Quelle</translation>
    </message>
    <message>
        <source>Trace</source>
        <translation>Nachzeichnen</translation>
    </message>
    <message>
        <source>Clean</source>
        <translation>Säubern</translation>
    </message>
    <message>
        <source>Layers</source>
        <translation>Ebenen</translation>
    </message>
    <message>
        <source>Release</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>Sheets</source>
        <translation>Bogen</translation>
    </message>
</context>
<context>
    <name>_000._000</name>
    <message>
        <source>Turns a minute</source>
        <translation>Drehzahl je Minute</translation>
    </message>
</context>
<context>
    <name>_Glossary</name>
    <message>
        <source>A word</source>
        <translation>Ein Wort</translation>
    </message>
    <message>
        <source>Glossary</source>
        <translation>Wörterbuch</translation>
    </message>
    <message>
        <source>No such word.</source>
        <translation>Kein solches Wort.</translation>
    </message>
</context>
<context>
    <name>_NameEdit</name>
    <message>
        <source>Name of the layer</source>
        <translation>Name der Ebene</translation>
    </message>
</context>
<context>
    <name>_Side</name>
    <message>
        <source>The sheets from the side</source>
        <translation>Die Bögen von der Seite</translation>
    </message>
    <message>
        <source>The line meets no sheet.</source>
        <translation>Die Linie trifft keinen Bogen.</translation>
    </message>
    <message>
        <source>{0} long, {1} high; heights are drawn {2:.0f} times larger; highest step {3} (red)</source>
        <translation>{0} lang, {1} hoch; Höhen sind {2:.0f}-mal größer gezeichnet; höchste Stufe {3} (rot)</translation>
    </message>
</context>
<context>
    <name>_Stack</name>
    <message>
        <source>The stack pulled apart; drag a sheet to another place</source>
        <translation>Der auseinandergezogene Stapel; ziehe einen Bogen an eine andere Stelle</translation>
    </message>
</context>
<context>
    <name>self.self</name>
    <message>
        <source>Click on the place; with keys, the arrows move a ring and Return takes it.</source>
        <translation>Klicken Sie auf die Stelle; mit Tasten bewegen die Pfeile einen Ring, und Eingabe nimmt ihn.</translation>
    </message>
</context>
<context>
    <name>widget</name>
    <message>
        <source>{0} goes into {1}: hatched on the bench, pieces that are lost ringed</source>
        <translation>{0} geht in {1} auf: auf der Werkbank schraffiert, verlorene Teile eingekreist</translation>
    </message>
    <message>
        <source>The number proposed</source>
        <translation>Die vorgeschlagene Zahl</translation>
    </message>
</context>
</TS>
