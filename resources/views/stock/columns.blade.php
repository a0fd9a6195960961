@use('Hebra\Core\Quantity\Figures')
{{-- A table as it came, which of its columns is what, and what is wrong with it. --}}
<textarea name="text" hidden>{{ $given->text }}</textarea>
<div class="bar items-end">
    @foreach ($wanted as $key => [$words])
        <div class="field"><label for="column-{{ $key }}">{{ $words }}</label><select class="in is-text !w-auto" id="column-{{ $key }}" name="columns[{{ $key }}]"><option value="">no column</option>@foreach ($given->table->heading as $at => $cell)<option value="{{ $at }}" @selected($given->columns[$key] === $at)>{{ $cell === '' ? 'column '.($at + 1) : $cell }}</option>@endforeach</select></div>
    @endforeach
    <button type="submit" class="may" name="do" value="look">Look again</button>
</div>
@if ($problems !== [])
    <div class="banner mt-3" role="alert"><p><strong>{{ Figures::counted(count($problems), 'line') }} cannot be taken in.</strong> Nothing has been; mend the table, or choose other columns.</p>
        <ul class="mt-1">@foreach ($problems as $line => $sentence)<li>Line {{ $line }}: {{ $sentence }}</li>@endforeach</ul></div>
@endif
<div class="scrolls mt-3">
<table class="ledger"><thead><tr><th scope="col">Line</th>@foreach ($wanted as [$words])<th scope="col">{{ $words }}</th>@endforeach</tr></thead><tbody>
    @foreach (array_slice(array_keys($given->table->rows), 0, 30) as $line)
        <tr @class(['is-unfit' => isset($problems[$line])])><td class="num">{{ $line }}</td>@foreach (array_keys($wanted) as $key)<td>{{ $given->table->at($line, $given->columns[$key]) }}</td>@endforeach</tr>
    @endforeach
</tbody></table>
</div>
@if (count($given->table->rows) > 30)<p class="quiet small">and {{ count($given->table->rows) - 30 }} more</p>@endif
